<?php

declare(strict_types=1);

namespace FeastLadle\Kitchen;

use FeastLadle\Document\Faults;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Document\JsonText;
use FeastLadle\Document\Node;
use FeastLadle\Heat\Burner;
use FeastLadle\Heat\Fuel;
use FeastLadle\Recipe\Skill;
use FeastLadle\Syrup\BoilingPoint;
use FeastLadle\Vessel\BowlShape;
use FeastLadle\Vessel\Metal;
use FeastLadle\Vessel\Shape;
use FeastLadle\Vessel\StraightShape;
use FeastLadle\Vessel\TaperedShape;
use FeastLadle\Vessel\Vessel;
use FeastLadle\Vessel\VesselKind;

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
        $root->object(['format', 'version', 'name', 'burners', 'vessels', 'people', 'cupMl', 'scaleStepGrams', 'altitudeM', 'roomCelsius', 'coldLitres']);
        if (self::FORMAT !== $root->at('format')->string()) {
            $root->at('format')->fault('Here must stand "{format}".', ['format' => self::FORMAT]);
        }
        $root->at('version')->int(1, 1);
        $burners = $vessels = $people = [];
        $ids = [];
        foreach ($root->at('burners')->items(30, 1) as $node) {
            $node->object(['id', 'name', 'fuel', 'kilowatts', 'ringMm']);
            $id = $this->freshId($node, $ids);
            $burners[$id] = new Burner($id, $node->at('name')->string(null, 60), $node->at('fuel')->enum(Fuel::class), $node->at('kilowatts')->number(0.1, 100), $node->at('ringMm')->number(20, 1500, 90.0));
        }
        foreach ($root->at('vessels')->items(120, 1) as $node) {
            $node->object(['id', 'name', 'kind', 'shape', 'metal', 'emptyKg']);
            $id = $this->freshId($node, $ids);
            $vessels[$id] = new Vessel($id, $node->at('name')->string(null, 60), $node->at('kind')->enum(VesselKind::class), $this->shape($node->at('shape')), $node->at('metal')->enum(Metal::class, Metal::Steel), $node->at('emptyKg')->number(0.05, 500, 1.0));
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
            $root->at('cupMl')->number(50, 500, 240.0),
            $root->at('scaleStepGrams')->number(0.01, 1000, 1.0),
            $root->at('altitudeM')->number(BoilingPoint::LOWEST_M, BoilingPoint::HIGHEST_M, 0.0),
            $root->at('roomCelsius')->number(-5, 50, 28.0),
            $root->at('coldLitres')->number(0, 100000, 40.0),
        );
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

    private function shape(Node $node): Shape
    {
        $node->object(['form', 'diameterMm', 'baseMm', 'rimMm', 'lengthMm', 'widthMm', 'heightMm']);
        $form = $node->at('form')->string();
        $height = $node->at('heightMm')->number(5, 3000);
        $size = static fn (string $key): float => $node->at($key)->number(10, 5000);

        return match ($form) {
            'straight' => StraightShape::round($size('diameterMm'), $height),
            'box' => StraightShape::rectangular($size('lengthMm'), $size('widthMm'), $height),
            'tapered' => new TaperedShape($size('baseMm') / 2, $size('rimMm') / 2, $height),
            'bowl' => new BowlShape($size('rimMm') / 2, $height),
            default => $this->unknownShape($node, $height),
        };
    }

    private function unknownShape(Node $node, float $height): Shape
    {
        $node->at('form')->fault('Here must stand one of {known}.', ['known' => 'straight, box, tapered, bowl']);

        return StraightShape::round(200, $height);
    }
}
