<?php

declare(strict_types=1);

// The mutated file stands in for the one it was made from.
/** @var Composer\Autoload\ClassLoader $loader */
$loader = require dirname(__DIR__, 3).'/vendor/autoload.php';
spl_autoload_register(static function (string $class) use ($loader): void {
    $file = $loader->findFile($class);
    if (false !== $file && realpath((string) $file) === getenv('MUTATED')) {
        require (string) getenv('MUTANT');
    }
}, true, true);
