<?php

declare(strict_types=1);

namespace App\Tests\Clocked;

use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\Clock\MonotonicClock;

/** A clock that was set: a file says what time it was at which second of the machine's own clock; from there it goes on. */
final readonly class SetClock implements ClockInterface
{
    private const UTC = 'UTC';

    public function __construct(private string $file, private string $timeZone = self::UTC)
    {
    }

    public function now(): \DateTimeImmutable
    {
        $text = is_file($this->file) ? (string) file_get_contents($this->file) : '';
        [$set, $machine] = explode(' ', $text.' ');
        $seconds = '' === $set ? time() : (int) $set + time() - (int) $machine;

        return (new \DateTimeImmutable('@'.$seconds))->setTimezone(new \DateTimeZone($this->timeZone));
    }

    public function sleep(float|int $seconds): void
    {
        (new MonotonicClock())->sleep($seconds);
    }

    public function withTimeZone(\DateTimeZone|string $timezone): static
    {
        return new self($this->file, \is_string($timezone) ? $timezone : $timezone->getName());
    }
}
