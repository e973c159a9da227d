<?php

declare(strict_types=1);

namespace FeastLadle\Schedule;

/** Which side of each activity a link ties; the first letter is the side of "from". */
enum LinkType: string
{
    case EndToStart = 'ES';
    case StartToStart = 'SS';
    case EndToEnd = 'EE';
    case StartToEnd = 'SE';

    public function fromEnd(): bool
    {
        return self::EndToStart === $this || self::EndToEnd === $this;
    }

    public function toEnd(): bool
    {
        return self::EndToEnd === $this || self::StartToEnd === $this;
    }
}
