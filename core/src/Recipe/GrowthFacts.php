<?php

declare(strict_types=1);

namespace FeastLadle\Recipe;

use FeastLadle\Document\Node;

/** What a law of time asks of a step: one row each, read by reader, desk, telling and timer. */
final readonly class GrowthFacts
{
    private const ONLY_FOR = [
        'power' => [Growth::Mass],
        'secondsEach' => [Growth::Piece],
        'medium' => [Growth::Cooling],
        'load' => [Growth::Load],
        'between' => [Growth::Load],
    ];

    /**
     * @param bool             $isLaw   minutes follow from pot, fire and contents, not from the recipe's own
     * @param bool             $minutes the recipe says minutes
     * @param list<TargetKind> $targets it needs one of these to know its end; empty: none
     * @param string           $lacks   what is said when it has none of them
     * @param bool             $flame   it needs a flame
     * @param bool             $vessel  it needs a vessel
     * @param float|null       $begin   value of the target with which a new step begins
     */
    private function __construct(
        public bool $isLaw = false,
        public bool $minutes = true,
        public array $targets = [],
        public string $lacks = '',
        public bool $flame = false,
        public bool $vessel = false,
        public ?float $begin = null,
    ) {
    }

    public static function of(Growth $growth): self
    {
        return match ($growth) {
            Growth::Fixed, Growth::Warmth, Growth::Mass, Growth::Load => new self(),
            Growth::Piece => new self(minutes: false),
            Growth::Roast => new self(isLaw: true, flame: true),
            Growth::WarmUp => new self(
                isLaw: true, minutes: false, targets: [TargetKind::Celsius], lacks: 'Warming up needs a target in °C.', flame: true,
                begin: 99.0,
            ),
            Growth::BoilOff => new self(
                isLaw: true,
                minutes: false,
                targets: [TargetKind::VolumeTo, TargetKind::VolumeBy, TargetKind::Stage, TargetKind::WaterOff],
                lacks: 'Boiling off needs a target: volume-to, volume-by, stage or water-off.',
                flame: true,
                begin: 0.5,
            ),
            Growth::Cooling => new self(
                isLaw: true, minutes: false, targets: [TargetKind::Celsius], lacks: 'Cooling needs a target in °C.', vessel: true,
                begin: 35.0,
            ),
        };
    }

    /** Faults fields of a step's time of which nothing would come: a number that changes nothing must not be taken in silence. */
    public function faultUnused(Node $time, Growth $growth): void
    {
        foreach (self::ONLY_FOR as $field => $growths) {
            if ($time->has($field) && !\in_array($growth, $growths, true)) {
                $time->at($field)->fault('Nothing comes of this here: only what grows by {growths} has it.', [
                    'growths' => implode(', ', array_map(static fn (Growth $g): string => $g->value, $growths)),
                ]);
            }
        }
    }

    /** Whether a step that ends by such a target has the end that the law needs. */
    public function endsBy(TargetKind $kind): bool
    {
        return [] === $this->targets || \in_array($kind, $this->targets, true);
    }
}
