<?php

declare(strict_types=1);

namespace FeastLadle\Vessel;

/** The depth of a volume where the volume law has no handy inverse. */
trait InvertsByBisection
{
    public function brimfulMl(): float
    {
        return $this->volumeMl($this->heightMm());
    }

    public function depthMm(float $volumeMl): float
    {
        if ($volumeMl <= 0.0) {
            return 0.0;
        }
        $low = 0.0;
        $high = $this->heightMm();
        if ($volumeMl >= $this->brimfulMl()) {
            return $high;
        }
        // 60 halvings bring any pot below a picometre; the bracket makes it converge always.
        for ($i = 0; $i < 60; ++$i) {
            $middle = ($low + $high) / 2;
            if ($this->volumeMl($middle) < $volumeMl) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return ($low + $high) / 2;
    }
}
