<?php

declare(strict_types=1);

namespace App\Command;

use App\Export\RecipeJsonLd;
use App\Service\CurrentKitchen;
use App\Service\RecipeBook;
use FeastLadle\Document\FaultyDocument;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('ladle:recipe:export', 'Prints a recipe of the book: its own JSON document, or schema.org JSON-LD.')]
final class RecipeExportCommand extends Command implements UsesTheBook
{
    private const FORMATS = ['json', 'jsonld'];

    public function __construct(
        private readonly RecipeBook $book,
        private readonly RecipeJsonLd $jsonLd,
        private readonly CurrentKitchen $kitchen,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument(
            'slug',
            InputArgument::REQUIRED,
            'Short name of the recipe',
            null,
            fn (): array => array_map(static fn ($r): string => $r->getSlug(), $this->book->all()),
        )
            ->addOption('format', null, InputOption::VALUE_REQUIRED, implode(' or ', self::FORMATS), 'json', self::FORMATS)
            ->addOption('revision', null, InputOption::VALUE_REQUIRED, 'An older revision (default: the newest)')
            ->setHelp('  <info>bin/console ladle:recipe:export basundi --format=jsonld</info>');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $slug = $input->getArgument('slug');
        $number = $input->getOption('revision');
        $revision = $this->book->revision(\is_string($slug) ? $slug : '', \is_string($number) ? (int) $number : null);
        if (null === $revision) {
            return Reading::tell(
                FaultyDocument::because('recipe', 'The book holds no recipe "{slug}"{revision}; it holds: {known}.', [
                    'slug' => \is_string($slug) ? $slug : '',
                    'revision' => \is_string($number) ? ' in revision '.$number : '',
                    'known' => implode(', ', array_map(static fn ($r): string => $r->getSlug(), $this->book->all())),
                ]),
                $output,
            );
        }
        $format = $input->getOption('format');
        if (!\in_array($format, self::FORMATS, true)) {
            return Reading::tell(
                FaultyDocument::because('option', '--format takes {known}, not "{given}".', [
                    'known' => implode(' or ', self::FORMATS),
                    'given' => \is_string($format) ? $format : '',
                ]),
                $output,
            );
        }
        $recipe = $this->book->find($revision->getRecipe()->getSlug(), $revision->getNumber());
        $text =
            'json' === $format || null === $recipe
                ? $revision->getDocument()
                : $this->jsonLd->write($recipe, $this->kitchen->equipment(), $revision->getDocument())."\n";
        $output->write($text, false, OutputInterface::OUTPUT_RAW);

        return Command::SUCCESS;
    }
}
