<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Schedule;

use FeastLadle\Schedule\Decoder;
use FeastLadle\Schedule\Groups;
use FeastLadle\Schedule\Justification;
use FeastLadle\Schedule\Mirror;
use FeastLadle\Schedule\Network;
use FeastLadle\Schedule\ProblemReader;
use FeastLadle\Schedule\Propagation;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** A schedule that is to be short, pushed to the other end and back. */
final class JustificationTest extends TestCase
{
    public function testPushingMakesScheduleShorterAndWithoutGapsOfOtherKindsNeverLonger(): void
    {
        $shorter = 0;
        for ($seed = 1; $seed <= 30; ++$seed) {
            $random = new Randomizer(new Mt19937($seed));
            $forward = new Network((new ProblemReader())->read($this->project($random)));
            $network = new Network(Mirror::of($forward->problem));
            $groups = Groups::of($network);
            $decoder = new Decoder($network, new Propagation($network), $groups);
            $mirrored = new Decoder($forward, new Propagation($forward), Groups::of($forward));
            $keys = [];
            foreach ($groups->members as $g => $_) {
                $keys[$g] = (float) $random->getInt(0, 1000);
            }
            self::assertTrue($decoder->decode($keys, [], []));
            $before = -$decoder->timeline->span()[0];
            self::assertNotNull((new Justification($network, $groups, $decoder, $mirrored))->push([]));
            $after = -$decoder->timeline->span()[0];
            self::assertLessThanOrEqual($before, $after, "seed $seed");
            $shorter += $after < $before ? 1 : 0;
        }
        self::assertGreaterThan(10, $shorter, 'in many of thirty it is shorter');
    }

    private function project(Randomizer $random): string
    {
        $activities = $links = [];
        for ($i = 0; $i < 14; ++$i) {
            $activities[] = [
                'id' => "a$i",
                'duration' => $random->getInt(1, 9),
                'needs' => [['from' => ['r'], 'units' => $random->getInt(1, 6)], ['from' => ['s'], 'units' => $random->getInt(1, 6)]],
            ];
            if ($i > 2) {
                $links[] = ['from' => 'a'.$random->getInt(0, $i - 1), 'to' => "a$i"];
            }
        }

        return json_encode(
            [
                'format' => 'feast-ladle/schedule-problem',
                'version' => 1,
                'horizon' => [0, 200],
                'resources' => [['id' => 'r', 'capacity' => 8], ['id' => 's', 'capacity' => 8]],
                'activities' => $activities,
                'links' => $links,
                'objective' => ['kind' => 'makespan'],
            ],
            \JSON_THROW_ON_ERROR,
        );
    }
}
