<?php

declare(strict_types=1);

namespace App\Service;

use App\Entity\KitchenRecord;
use FeastLadle\Document\FaultyDocument;
use FeastLadle\Document\JsonWriter;

/** What stands in a kitchen's pantry and what packs cost there, as typed beside the list of stores. */
final readonly class Pantry
{
    public function __construct(private KitchenDesk $desk)
    {
    }

    /**
     * @param array<mixed> $have  grams by ingredient id, as typed; empty: none
     * @param array<mixed> $until days by ingredient id, as typed
     * @param array<mixed> $price of a pack by ingredient id, as typed
     * @param array<mixed> $was   how each row stood when it was shown: what was not touched stays as somebody else may have left it
     *
     * @throws FaultyDocument when something typed is no amount, day or price; nothing is kept then
     */
    public function take(KitchenRecord $kitchen, array $have, array $until, array $price, array $was = []): void
    {
        foreach ($was as $id => $stood) {
            $typed = array_map(static fn (mixed $v): string => \is_string($v) ? trim($v) : '', [
                $have[$id] ?? '',
                $until[$id] ?? '',
                $price[$id] ?? '',
            ]);
            if ($stood === implode('|', $typed)) {
                unset($have[$id], $until[$id], $price[$id]);
            }
        }
        /** @var array<string, mixed> $document */
        $document = json_decode($kitchen->getDocument(), true, 64, \JSON_THROW_ON_ERROR);
        // What is in the pantry but not on this list stays.
        $pantry = array_values(
            array_filter(
                \is_array($document['pantry'] ?? null) ? $document['pantry'] : [],
                static fn (mixed $row): bool => !\is_array($row)
                    || !\is_string($row['what'] ?? null)
                    || !\array_key_exists($row['what'], $have),
            ),
        );
        foreach ($have as $id => $grams) {
            if (null !== self::typed($grams)) {
                $row = ['what' => (string) $id, 'grams' => self::typed($grams)];
                $day = $until[$id] ?? null;
                if (\is_string($day) && '' !== trim($day)) {
                    $row['until'] = trim($day);
                }
                $pantry[] = $row;
            }
        }
        $prices = \is_array($document['prices'] ?? null) ? $document['prices'] : [];
        foreach ($price as $id => $each) {
            unset($prices[$id]);
            if (null !== self::typed($each)) {
                $prices[$id] = self::typed($each);
            }
        }
        $document['pantry'] = $pantry;
        $document['prices'] = (object) $prices;
        $this->desk->change(
            $kitchen,
            JsonWriter::write($document),
        );
    }

    /** A number where it is one; else what was typed, for the reader to refuse. */
    private static function typed(mixed $value): float|string|null
    {
        $text = \is_string($value) ? trim(str_replace(',', '.', $value)) : '';

        return match (true) {
            '' === $text => null,
            is_numeric($text) && \strlen($text) < 15 => (float) $text,
            default => $text,
        };
    }
}
