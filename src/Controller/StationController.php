<?php

declare(strict_types=1);

namespace App\Controller;

use App\Form\FaultMapper;
use App\Service\ChangedMeanwhile;
use App\Service\FeastDesk;
use App\Service\OpenFeast;
use App\Service\PlanStore;
use App\Service\Stations;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Solving\Plan;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;

/** What every station of a feast does: open it, show it in its frame, take a changed wish. */
abstract class StationController extends AbstractController
{
    /** A page that asks with this header doesn't wait for a schedule. */
    private const AT_ONCE = 'X-At-Once';

    public function __construct(
        protected readonly FeastDesk $desk,
        protected readonly PlanStore $plans,
        protected readonly Stations $stations,
        protected readonly FaultMapper $faults,
    ) {
    }

    /** @param array<string, mixed> $values */
    protected function station(string $route, OpenFeast $open, Plan $plan, array $values = [], ?Response $response = null): Response
    {
        return $this->render('stations/'.$route.'.html.twig', [
            'here' => $route,
            'open' => $open,
            'feast' => $open->feast,
            'plan' => $plan,
            'stations' => $this->stations->of($open, $plan),
            ...$values,
        ], $response);
    }

    /**
     * A part of a page that follows from the plan, its template and its words alone: rendered once for as long as these stand.
     *
     * @param \Closure(Plan): array<string, mixed> $values
     */
    protected function keptPart(OpenFeast $open, Plan $plan, string $template, \Closure $values, string $variant = ''): string
    {
        $what = \sprintf('part.%s.%d.%s.%s.', basename($template, '.html.twig'), $open->id(), $variant, $this->stations->locale());
        $what .= substr($this->getParameter('app.page_version'), 0, 16);

        return $this->plans->with($open, $plan, $what, fn (Plan $p): string => $this->renderView($template, $values($p)));
    }

    /**
     * Stores a changed document, or puts its faults into the form.
     *
     * @template T
     *
     * @param FormInterface<T>     $form
     * @param array<string, mixed> $document
     *
     * @return bool whether it was stored
     */
    protected function take(FormInterface $form, OpenFeast $open, array $document, Request $request): bool
    {
        try {
            $this->desk->change($open, $document, SeenVersion::in($request));

            return true;
        } catch (FaultyDocument|ChangedMeanwhile $refusal) {
            $this->faults->refuse($form, $refusal);
        }

        return false;
    }

    /** A form that was sent in place gets the changed page as its answer, without a second request. */
    protected function inPlace(Request $request): bool
    {
        return $request->headers->has(self::AT_ONCE);
    }

    /**
     * A list of the document without one row, or with one more, as a button asked.
     *
     * @param array<string, mixed>|null $fresh the row to add
     *
     * @return list<mixed>
     */
    protected function rows(mixed $list, ?int $remove, ?array $fresh): array
    {
        $rows = \is_array($list) ? array_values($list) : [];
        if (null !== $remove && isset($rows[$remove])) {
            array_splice($rows, $remove, 1);
        }
        if (null !== $fresh) {
            $rows[] = $fresh;
        }

        return $rows;
    }
}
