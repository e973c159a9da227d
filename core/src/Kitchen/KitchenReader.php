<?php

declare(strict_types=1);

namespace FeastLadle\Kitchen;

use FeastLadle\Document\Faults;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Document\JsonText;
use FeastLadle\Document\Node;
use FeastLadle\Heat\BoilingPoint;
use FeastLadle\Heat\Burner;
use FeastLadle\Heat\Climate;
use FeastLadle\Heat\Fuel;
use FeastLadle\Measure\Scale;
use FeastLadle\Recipe\Process;
use FeastLadle\Recipe\Skill;
use FeastLadle\Vessel\BowlShape;
use FeastLadle\Vessel\FillLimit;
use FeastLadle\Vessel\FillLimits;
use FeastLadle\Vessel\Lifting;
use FeastLadle\Vessel\Metal;
use FeastLadle\Vessel\Shape;
use FeastLadle\Vessel\StraightShape;
use FeastLadle\Vessel\TaperedShape;
use FeastLadle\Vessel\Vessel;
use FeastLadle\Vessel\VesselKind;
use FeastLadle\Words\CannotBe;

/** Reads a kitchen document, reporting every fault. */
final class KitchenReader
{
    public const FORMAT = 'feast-ladle/kitchen';

    /** @throws FaultyDocument */
    public function read(string $json): Kitchen
    {
        $faults = new Faults();
        $kitchen = $this->fromNode(JsonText::decode($json, 'kitchen', $faults));
        $faults->throwIfAny('kitchen');

        return $kitchen;
    }

    public function fromNode(Node $root): Kitchen
    {
        $root->object([
            'format',
            'version',
            'name',
            'burners',
            'vessels',
            'people',
            'cupMl',
            'scaleStepGrams',
            'altitudeM',
            'roomCelsius',
            'coldLitres',
            'scales',
            'tools',
            'rules',
            'pantry',
            'prices',
            'currency',
            'liftKg',
            'tasting',
            'humidity',
            'fillLimits',
            'dryingM2',
            'warmLitres',
            'warmCelsius',
            'fuel',
        ]);
        $root->isOf(self::FORMAT, 1);
        $burners = $vessels = $people = [];
        $ids = [];
        foreach ($root->at('burners')->items(30, 1) as $node) {
            $node->object(['id', 'name', 'fuel', 'kilowatts', 'ringMm']);
            $id = $this->freshId($node, $ids);
            $burners[$id] = new Burner(
                $id,
                $node->at('name')->string(null, 60),
                $node->at('fuel')->enum(Fuel::class),
                $node->at('kilowatts')->number(...Burner::KILOWATTS),
                $node->at('ringMm')->number(...[...Burner::RING_MM, 90.0]),
            );
        }
        foreach ($root->at('vessels')->items(120, 1) as $node) {
            $node->object(['id', 'name', 'kind', 'shape', 'metal', 'emptyKg', 'tiers']);
            $id = $this->freshId($node, $ids);
            $kind = $node->at('kind')->enum(VesselKind::class);
            if (VesselKind::Steamer !== $kind && $node->has('tiers')) {
                $node->at('tiers')->fault('Only a steamer has tiers.');
            }
            $vessels[$id] = new Vessel(
                $id,
                $node->at('name')->string(null, 60),
                $kind,
                $this->shape($node->at('shape')),
                $node->at('metal')->enum(Metal::class, Metal::Steel),
                $node->at('emptyKg')->number(...[...Vessel::EMPTY_KG, 1.0]),
                VesselKind::Steamer === $kind ? $node->at('tiers')->int(...[...Vessel::TIERS, 1]) : 1,
            );
        }
        foreach ($root->at('people')->items(60, 1) as $node) {
            $node->object(['id', 'name', 'skill']);
            $id = $this->freshId($node, $ids);
            $people[$id] = new Person($id, $node->at('name')->string(null, 60), $node->at('skill')->enum(Skill::class));
        }

        return new Kitchen(
            $root->at('name')->string(null, 100),
            $burners,
            $vessels,
            $people,
            $this->climate($root),
            new Measures(
                $root->at('cupMl')->number(50, 500, 240.0),
                $root->at('scaleStepGrams')->number(0.01, 1000, 1.0),
                array_map(static fn (Node $n): Scale => self::scale($n), $root->at('scales')->items(10)),
            ),
            new Storeroom(
                $root->at('coldLitres')->number(0, 100000, 40.0),
                array_map(static fn (Node $n): OnHand => self::onHand($n), $root->at('pantry')->items(500)),
                array_map(static fn (Node $n): float => $n->number(0, 1e9), $root->at('prices')->fields(1000)),
                $root->at('currency')->string('', 8),
                $root->at('dryingM2')->number(0, 1000, 0.0),
                $root->at('warmLitres')->number(0, 100000, 0.0),
                $root->at('warmCelsius')->number(40, 95, Storeroom::WARM_CELSIUS),
                $root->has('fuel') ? $this->fuel($root->at('fuel')) : new FuelStore(),
            ),
            $this->tools($root->at('tools'), $ids),
            new HouseRules(
                (new IngredientRulesReader())->read($root->at('rules')),
                $root->at('liftKg')->number(2, Lifting::MOST_KG, Lifting::DEFAULT_LIMIT_KG),
                $this->fillLimits($root->at('fillLimits')),
                $root->at('tasting')->enum(Tasting::class, Tasting::AfterTheOffering),
            ),
        );
    }

    private function fuel(Node $node): FuelStore
    {
        $node->object(['bottles', 'bottleKg', 'woodKg']);

        return new FuelStore(
            array_map(static fn (Node $n): float => $n->number(0.01, 500), $node->at('bottles')->items(100)),
            $node->at('bottleKg')->number(0.1, 500, FuelStore::USUAL_BOTTLE_KG),
            $node->at('woodKg')->number(0, 100_000, 0.0),
        );
    }

    private function climate(Node $root): Climate
    {
        return new Climate(
            $root->at('roomCelsius')->number(...[...Climate::ROOM, Climate::USUAL_ROOM]),
            $root->at('humidity')->number(...[...Climate::HUMIDITY, Climate::USUAL_HUMIDITY]),
            $root->at('altitudeM')->number(BoilingPoint::LOWEST_M, BoilingPoint::HIGHEST_M, 0.0),
        );
    }

    private function fillLimits(Node $node): FillLimits
    {
        $known = array_map(static fn (FillLimit $l): string => $l->value, FillLimit::cases());
        $own = [];
        if (!$node->exists() || !$node->object($known)) {
            return new FillLimits();
        }
        foreach ($known as $limit) {
            if ($node->has($limit)) {
                $own[$limit] = $node
                    ->at($limit)
                    ->number(0.1, FillLimit::from($limit)->isOfSafety() ? FillLimit::from($limit)->share() : 0.95);
            }
        }

        return new FillLimits($own);
    }

    private static function scale(Node $node): Scale
    {
        $node->object(['stepGrams', 'mostGrams']);

        return new Scale($node->at('stepGrams')->number(0.01, 1000), $node->at('mostGrams')->number(1, 1e7));
    }

    /**
     * @param array<string, true> $ids
     *
     * @return array<string, Tool>
     */
    private function tools(Node $list, array &$ids): array
    {
        $tools = [];
        foreach ($list->items(60) as $node) {
            $node->object(['id', 'name', 'process', 'loadGrams', 'loadPieces', 'restMinutes']);
            $id = $this->freshId($node, $ids);
            $grams = $node->has('loadGrams') ? $node->at('loadGrams')->number(1, 1e6) : null;
            $pieces = $node->has('loadPieces') ? $node->at('loadPieces')->int(1, 10000) : null;
            if (null === $grams && null === $pieces) {
                $node->fault('A tool takes so many grams or pieces at a time: "loadGrams" or "loadPieces" is missing.');
            }
            $tools[$id] = new Tool(
                $id,
                $node->at('name')->string(null, 60),
                $node->at('process')->enum(Process::class),
                $grams,
                $pieces,
                $node->at('restMinutes')->number(0, 120, 0.0),
            );
        }

        return $tools;
    }

    private static function onHand(Node $node): OnHand
    {
        $node->object(['what', 'grams', 'until']);
        $until = null;
        if ($node->has('until')) {
            $text = $node->at('until')->string();
            $until = \DateTimeImmutable::createFromFormat('!Y-m-d', $text, new \DateTimeZone('UTC'));
            if (false === $until || $until->format('Y-m-d') !== $text) {
                $node->at('until')->fault('A date is written year-month-day, as in 2031-11-15.');
                $until = null;
            }
        }

        return new OnHand($node->at('what')->id(), $node->at('grams')->number(0, 1e8), $until);
    }

    /** @param array<string, true> $ids */
    private function freshId(Node $node, array &$ids): string
    {
        $id = $node->at('id')->id();
        if (isset($ids[$id])) {
            $node->at('id')->fault('The id "{id}" is used twice.', ['id' => $id]);
        }
        $ids[$id] = true;

        return $id;
    }

    /** A vessel is known by its lengths, or by what it holds to the brim in place of its height. */
    private function shape(Node $node): Shape
    {
        $node->object(['form', 'diameterMm', 'baseMm', 'rimMm', 'lengthMm', 'widthMm', 'heightMm', 'litres']);
        $form = $node->at('form')->string();
        $ml = $node->has('litres') ? 1000 * $node->at('litres')->number(0.05, 5000) : null;
        if (null !== $ml && $node->has('heightMm')) {
            $node->at('litres')->fault('A vessel is given its height or its litres, not both.');
        }
        $height = null === $ml ? $node->at('heightMm')->number(5, 3000) : 100.0;
        $size = static fn (string $key): float => $node->at($key)->number(10, 5000);
        $of = static fn (float $rim, float $base, float $length): Shape => self::shapeOf(
            $form,
            $rim,
            $base,
            $length,
            $height,
            null !== $ml && $ml > 0 ? $ml / 1000 : null,
        );
        try {
            return match ($form) {
                'straight' => $of($size('diameterMm'), 100, 100),
                'box' => $of($size('widthMm'), 100, $size('lengthMm')),
                'tapered' => $of($size('rimMm'), $size('baseMm'), 100),
                'bowl' => $of($size('rimMm'), 100, 100),
                default => $this->unknownShape($node, $height),
            };
        } catch (\DomainException $impossible) {
            $node->at('litres')->fault('{why}', ['why' => $impossible->getMessage()]);

            return StraightShape::round(200, 100);
        }
    }

    /**
     * The inside of a vessel by its measured numbers; with litres to the brim, these take the place of the height.
     *
     * @param float $rim across in mm: the rim, the straight wall, or the width of a box
     *
     * @throws \DomainException when so many litres make no vessel
     */
    public static function shapeOf(string $form, float $rim, float $base, float $length, float $height, ?float $litres): Shape
    {
        $mm3 = null === $litres ? null : $litres * 1e6;
        [$b, $r] = [$base / 2, $rim / 2];
        $shape = match ($form) {
            'box' => StraightShape::rectangular($length, $rim, null === $mm3 ? $height : $mm3 / ($length * $rim)),
            'tapered' => new TaperedShape($b, $r, null === $mm3 ? $height : (3 * $mm3) / (\M_PI * ($b * $b + $b * $r + $r * $r))),
            'bowl' => null === $litres ? new BowlShape($r, $height) : BowlShape::fromBrimful($r, 1000 * $litres),
            default => StraightShape::round($rim, null === $mm3 ? $height : $mm3 / (\M_PI * $r * $r)),
        };
        if ($shape->heightMm() < 5 || $shape->heightMm() > 3000) {
            throw new CannotBe(
                \sprintf('%g litres would make it %.0f mm high; 5 to 3000 mm is possible.', $litres ?? 0, $shape->heightMm()),
            );
        }

        return $shape;
    }

    private function unknownShape(Node $node, float $height): Shape
    {
        $node->at('form')->fault('Here must stand one of {known}.', ['known' => 'straight, box, tapered, bowl']);

        return StraightShape::round(200, $height);
    }
}
