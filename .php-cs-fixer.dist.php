<?php

$finder = (new PhpCsFixer\Finder())
    ->in([__DIR__.'/core', __DIR__.'/src', __DIR__.'/tests', __DIR__.'/migrations', __DIR__.'/config', __DIR__.'/public'])
    ->name('*.php')
    ->notName('reference.php');

return (new PhpCsFixer\Config())
    ->setParallelConfig(new PhpCsFixer\Runner\Parallel\ParallelConfig(2))
    ->setUnsupportedPhpVersionAllowed(true)
    ->setRiskyAllowed(true)
    ->setRules([
        '@Symfony' => true,
        '@Symfony:risky' => true,
        'declare_strict_types' => true,
        // Lines end at 140 columns, in a throw as anywhere.
        'single_line_throw' => false,
        // A sentence may stand above its tags without a paragraph for each.
        'phpdoc_to_comment' => false,
        'phpdoc_separation' => false,
        'phpdoc_summary' => false,
        // The scheduler has a class named Resource.
        'phpdoc_types' => false,
        'phpdoc_align' => ['align' => 'vertical', 'tags' => ['param']],
        'native_function_invocation' => ['include' => ['@compiler_optimized'], 'scope' => 'namespaced'],
        'global_namespace_import' => false,
    ])
    ->setCacheFile(__DIR__.'/var/php-cs-fixer.cache')
    ->setFinder($finder);
