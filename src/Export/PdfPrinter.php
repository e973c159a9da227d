<?php

declare(strict_types=1);

namespace App\Export;

use Dompdf\Dompdf;
use Dompdf\Options;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\String\Slugger\AsciiSlugger;
use Twig\Environment;

/** Prints a Twig template as PDF on A4 or Letter; nothing is fetched from anywhere. */
final readonly class PdfPrinter
{
    public function __construct(private Environment $twig, #[Autowire('%kernel.cache_dir%/pdf')] private string $cache)
    {
    }

    /** @param array<string, mixed> $values */
    public function print(string $template, array $values, Request $request, string $name): Response
    {
        $paper = self::paper($request);
        $pdf = $this->document($template, [...$values, 'paper' => $paper], $paper);

        return new Response(
            $pdf,
            headers: [
                'Content-Type' => 'application/pdf',
                'Content-Disposition' => HeaderUtils::makeDisposition(
                    HeaderUtils::DISPOSITION_INLINE,
                    (new AsciiSlugger())->slug($name)->lower().'.pdf',
                ),
            ],
        );
    }

    public static function paper(Request $request): string
    {
        return match ($request->query->getString('paper')) {
            'letter' => 'letter',
            'a3' => 'A3',
            default => 'A4',
        };
    }

    /** @param array<string, mixed> $values */
    public function document(string $template, array $values, string $paper): string
    {
        (new Filesystem())->mkdir($this->cache);
        $options = new Options();
        $options
            ->setIsRemoteEnabled(false)
            ->setIsPhpEnabled(false)
            ->setIsJavascriptEnabled(false)
            ->setDefaultFont('DejaVu Sans')
            ->setFontCache($this->cache)
            ->setTempDir($this->cache)
            ->setIsFontSubsettingEnabled(true);
        $dompdf = new Dompdf($options);
        $dompdf->setPaper($paper);
        $dompdf->loadHtml($this->twig->render($template, $values), 'UTF-8');
        $dompdf->render();

        return (string) $dompdf->output();
    }
}
