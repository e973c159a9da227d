<?php

declare(strict_types=1);

// Moves the demo's home feast so that its cooking begins now ("now"), or back to where it was ("back"). For the browser tests only: the
// application itself has no way to do so.
$db = new PDO('sqlite:'.getenv('DATA_DIR').'/feast-ladle.sqlite');
$db->exec('PRAGMA busy_timeout = 5000');
$kept = getenv('DATA_DIR').'/feast-1.json';
$stored = (string) $db->query('SELECT document FROM feast WHERE id = 1')->fetchColumn();
if (!is_file($kept)) {
    file_put_contents($kept, $stored);
}
$feast = json_decode((string) file_get_contents($kept), true, 64, \JSON_THROW_ON_ERROR);
if ('now' === ($argv[1] ?? '')) {
    // In a time zone where it is 11:17 now, so that no shift is cut by a midnight, at whatever hour the tests run.
    $offset = (11 * 60 + 17 - intdiv(time() % 86400, 60) + 720) % 1440 - 720;
    $zoneName = sprintf('%s%02d:%02d', $offset < 0 ? '-' : '+', intdiv(abs($offset), 60), abs($offset) % 60);
    $zone = new DateTimeZone($zoneName);
    $begins = new DateTimeImmutable($feast['date'].' 11:17', $zone);
    $shift = intdiv(time() - $begins->getTimestamp(), 60);
    $moved = static fn (int $day, string $time): DateTimeImmutable => (new DateTimeImmutable($feast['date'].' '.$time, $zone))
        ->modify("$day days")->modify("$shift minutes");
    $date = $moved(0, $feast['moments'][0]['time'])->format('Y-m-d');
    $day = static fn (DateTimeImmutable $at): int => (int) (new DateTimeImmutable($date))->diff(new DateTimeImmutable($at->format('Y-m-d')))
        ->format('%r%a');
    foreach ($feast['moments'] as $k => $moment) {
        $at = $moved($moment['day'], $moment['time']);
        $feast['moments'][$k] = ['day' => $day($at), 'time' => $at->format('H:i')] + $moment;
    }
    $hands = [];
    foreach ($feast['hands'] as $shiftOf) {
        [$from, $to] = [$moved($shiftOf['day'], $shiftOf['from']), $moved($shiftOf['day'], $shiftOf['to'])];
        // A shift of a feast ends on the day on which it begins.
        while ($day($from) < $day($to)) {
            $hands[] = ['day' => $day($from), 'from' => $from->format('H:i'), 'to' => '23:59'] + $shiftOf;
            $from = $from->modify('tomorrow');
        }
        if ($from < $to) {
            $hands[] = ['day' => $day($from), 'from' => $from->format('H:i'), 'to' => $to->format('H:i')] + $shiftOf;
        }
    }
    $feast = ['date' => $date, 'timeZone' => $zoneName, 'hands' => $hands] + $feast;
}
$db->prepare('UPDATE feast SET document = ?, version = version + 1 WHERE id = 1')->execute([json_encode($feast)]);
foreach (['day_event', 'feast_plan'] as $table) {
    $db->exec("DELETE FROM $table WHERE feast_id = 1");
}
