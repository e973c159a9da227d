<?php

declare(strict_types=1);

namespace App\Service;

use App\Entity\KitchenRecord;
use FeastLadle\Document\JsonWriter;
use FeastLadle\Vessel\VesselKind;
use Symfony\Component\Uid\Uuid;

/** The lists of a kitchen document as the buttons of its form ask: a row less, a row more, the same again. */
final class KitchenRows
{
    /** What a fresh row of each list starts from. */
    private const FRESH = [
        'burners' => ['name' => 'Another fire', 'fuel' => 'gas', 'kilowatts' => 1.75, 'ringMm' => 90],
        'people' => ['name' => 'Another helper', 'skill' => 'any'],
        'tools' => ['name' => 'Grinder jar', 'process' => 'grind', 'loadGrams' => 400, 'restMinutes' => 2],
        'scales' => ['stepGrams' => 1, 'mostGrams' => 5000],
        'rules' => ['name' => 'A rule', 'forbids' => ['honey']],
    ];

    private const FRESH_VESSEL = [
        'name' => 'Another pot',
        'kind' => 'pot',
        'shape' => ['form' => 'straight', 'diameterMm' => 240, 'heightMm' => 160],
        'metal' => 'steel',
        'emptyKg' => 1.5,
    ];

    /** @return array{vessels: list<array<string, mixed>>, ...<string, mixed>} */
    public function read(KitchenRecord $kitchen): array
    {
        /** @var array{vessels: list<array<string, mixed>>, ...<string, mixed>} $document */
        $document = json_decode($kitchen->getDocument(), true, 64, \JSON_THROW_ON_ERROR);

        return $document;
    }

    /** @param array{vessels: list<array<string, mixed>>, ...<string, mixed>} $document */
    public function at(array $document, string $vessel): ?int
    {
        $at = array_search($vessel, array_column($document['vessels'], 'id'), true);

        return \is_int($at) ? $at : null;
    }

    /**
     * @param array<string, mixed> $document what the form asked, over what it did not ask
     * @param array<mixed>         $sent     with the buttons that were pressed
     */
    public function document(array $document, array $sent): string
    {
        foreach (self::FRESH as $list => $fresh) {
            $rows = \is_array($document[$list] ?? null) ? array_values($document[$list]) : [];
            $remove = self::pressed($sent, 'remove', $list);
            if (null !== $remove && isset($rows[$remove])) {
                array_splice($rows, $remove, 1);
            }
            if (null !== self::pressed($sent, 'add', $list)) {
                $rows[] = ('scales' === $list ? [] : ['id' => self::freshId()]) + $fresh;
            }
            $document[$list] = array_map(static fn (mixed $row): mixed => \is_array($row) ? self::given($row) : $row, $rows);
        }
        $document = self::given($document);
        // Limits that are left empty are the usual ones.
        $document['fillLimits'] = (object) self::given(\is_array($document['fillLimits'] ?? null) ? $document['fillLimits'] : []);

        return self::written($document);
    }

    /**
     * @param array{vessels: list<array<string, mixed>>, ...<string, mixed>} $document
     * @param array<string, mixed>                                           $changed
     * @param array<mixed>                                                   $sent
     *
     * @return array{string, ?string} the document, and the vessel that is asked about next
     */
    public function vessel(array $document, int $at, array $changed, array $sent): array
    {
        $id = $document['vessels'][$at]['id'];
        if (VesselKind::Steamer->value !== ($changed['kind'] ?? null)) {
            // What becomes a pot has no tiers any more.
            unset($changed['tiers']);
        }
        $document['vessels'][$at] = self::given($changed);
        if (isset($sent['remove'])) {
            array_splice($document['vessels'], $at, 1);
            $id = null;
        } elseif (isset($sent['again'])) {
            $id = self::freshId();
            array_splice($document['vessels'], $at + 1, 0, [['id' => $id] + $document['vessels'][$at]]);
        }

        return [self::written($document), \is_string($id) ? $id : null];
    }

    /**
     * @param array{vessels: list<array<string, mixed>>, ...<string, mixed>} $document
     *
     * @return array{string, string} the document, and the id of the new vessel
     */
    public function anotherVessel(array $document): array
    {
        $id = self::freshId();
        $document['vessels'][] = ['id' => $id] + self::FRESH_VESSEL;

        return [self::written($document), $id];
    }

    /** @param array<mixed> $sent */
    private static function pressed(array $sent, string $button, string $list): ?int
    {
        $row = \is_array($sent[$button] ?? null) ? $sent[$button][$list] ?? null : null;

        return is_numeric($row) ? (int) $row : null;
    }

    /**
     * @template K of array-key
     *
     * @param array<K, mixed> $row
     *
     * @return array<K, mixed>
     */
    private static function given(array $row): array
    {
        return array_filter($row, static fn (mixed $v): bool => null !== $v);
    }

    /** @param array<string, mixed> $document */
    private static function written(array $document): string
    {
        if ([] === ($document['fillLimits'] ?? null)) {
            $document['fillLimits'] = new \stdClass();
        }

        return JsonWriter::write($document);
    }

    private static function freshId(): string
    {
        return 'n-'.strtolower(Uuid::v7()->toBase32());
    }
}
