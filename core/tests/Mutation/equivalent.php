<?php

declare(strict_types=1);

// Mutants that nobody could notice: file, what it does, why it is the same.
return [
    [
        'core/src/Vessel/Dipstick.php',
        '$step = ⟨1.0 → (1.0 * 1.1)⟩;',
        'The first candidate takes its place before it is read.',
    ],
    [
        'core/src/Batch/FryingLoad.php',
        '$total = (int) ceil($flow->taken->pieces - ⟨1e-9 → (1.0E-9 * 1.1)⟩);',
        'How near a whole number counts as one, far below what pieces can differ by.',
    ],
    [
        'core/src/Flow/VesselRun.php',
        'if (null !== $flow->step->vessel?->mostGrams && $flow->taken->massGrams() > $flow->step->vessel->mostGrams + '.
            '⟨1e-6 → (1.0E-6 * 1.1)⟩) {',
        'How near a limit counts as at it, far below a grain of salt.',
    ],
    [
        'core/src/Schedule/Risk.php',
        '$u ⟨< → <=⟩ $peak',
        'At the peak both sides of the triangle give the likely minutes.',
    ],
    [
        'core/src/Schedule/LowerBound.php',
        'if ($weight + $tail[$to] ⟨> → >=⟩ $tail[$from]) {',
        'An equal value takes the place of its equal.',
    ],
    [
        'core/src/Schedule/PlannedOrder.php',
        'if (!isset($longest[$key]) || $longest[$key][3] ⟨< → <=⟩ $arc[3]) {',
        'An arc takes the place of one that is the same in all that is read of it.',
    ],
    [
        'core/src/Schedule/ResourceChoices.php',
        'if ($rotation > 0 && \count($options) ⟨> → >=⟩ 1) {',
        'One option turned is that option.',
    ],
    [
        'core/src/Schedule/PlacingOrder.php',
        'for ($round = ⟨0 → 1⟩; $round < $this->network->size; ++$round) {',
        'A path has one link fewer than activities, so the last round never moves anything.',
    ],
];
