<?php

declare(strict_types=1);

namespace App\Service;

use FeastLadle\Feast\FeastReader;
use FeastLadle\Kitchen\Kitchen;

/** The document a new feast starts from. */
final class FeastTemplate
{
    /**
     * @param array<string, mixed> $wish name, date, timeZone, count, time
     *
     * @return array<string, mixed>
     */
    public static function document(array $wish, Kitchen $kitchen): array
    {
        $hands = [];
        foreach ($kitchen->people as $person) {
            $hands[] = ['person' => $person->id, 'day' => 0, 'from' => '09:00', 'to' => '20:00'];
        }

        return [
            'format' => FeastReader::FORMAT,
            'version' => 1,
            'name' => $wish['name'] ?? '',
            'date' => $wish['date'] ?? '',
            'timeZone' => $wish['timeZone'] ?? '',
            'groups' => [['id' => 'grown-ups', 'name' => 'Grown-ups', 'count' => $wish['count'] ?? null, 'appetite' => 1]],
            'moments' => [
                ['id' => 'sitting', 'kind' => 'sitting', 'name' => 'Sitting', 'day' => 0, 'time' => $wish['time'] ?? '', 'bowls' => 0],
            ],
            'hands' => $hands,
            'dishes' => [],
        ];
    }
}
