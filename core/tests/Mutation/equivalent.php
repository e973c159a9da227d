<?php

declare(strict_types=1);

// Mutants that nobody could notice, each with why: 'file: what it does' => 'why it is the same'.
return [];
