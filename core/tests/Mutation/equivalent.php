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
    [
        'core/src/Batch/PotChoice.php',
        'return $this->fullestMl <= $this->limitMl() + ⟨1e-6 → (1.0E-6 * 1.1)⟩;',
        'How near a limit counts as at it, far below a drop.',
    ],
    [
        'core/src/Heat/Frying.php',
        '$pieces = (int) min(floor((0.55 * $surfaceM2) / $footprintM2 + 1e-9), floor((0.175 * $fatKg) / $pieceKg + '.
            '⟨1e-9 → (1.0E-9 * 1.1)⟩));',
        'How near a whole number counts as one, far below what pieces can differ by.',
    ],
    [
        'core/src/Batch/PotChooser.php',
        'public const MOST_BATCHES = ⟨60 → 61⟩;',
        'Past twenty, batches are tried in fives: 60 is the last of them either way.',
    ],
    [
        'core/src/Syrup/Density.php',
        'for ($i = ⟨0 → 1⟩; $i < 60; ++$i) {',
        'Fifty-nine halvings come as near as a float can tell.',
    ],
    [
        'core/src/Vessel/InvertsByBisection.php',
        'for ($i = ⟨0 → 1⟩; $i < 60; ++$i) {',
        'Fifty-nine halvings come as near as a float can tell.',
    ],
    [
        'core/src/Syrup/SugarRise.php',
        'for ($i = 1; $i ⟨< → <=⟩ $last && $points[$i][$from] < $value; ++$i) {',
        'The last point is never below a value within the table.',
    ],
    [
        'core/src/Schedule/Due.php',
        'return $end ⟨< → <=⟩ $this->at ? ($this->at - $end) * $this->early : ($end - $this->at) * $this->late;',
        'Just at its time either side costs nothing.',
    ],
    [
        'core/src/Schedule/Audit.php',
        '$used += max($units, $inHold[$id] ?? ⟨0 → 1⟩);',
        'Whoever uses a thing takes one unit at least.',
    ],
    [
        'core/src/Schedule/ResourceChoices.php',
        '$duration = -⟨1 → 2⟩;',
        'It is only asked whether it is below nothing.',
    ],
    [
        'core/src/Schedule/Occupancy.php',
        '$this->placed = $size ⟨> → >=⟩ 0 ? array_fill(0, $size, false) : [];',
        'Nothing filled in no places is nothing.',
    ],
];
