<?php

declare(strict_types=1);

namespace App\Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** The layering in sentences; PHPStan checks them (see phpstan.dist.neon). */
final class Layers
{
    public function testCoreKnowsNoFramework(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('FeastLadle'))
            ->excluding(Selector::inNamespace('FeastLadle\Tests'))
            ->shouldNot()
            ->dependOn()
            ->classes(
                Selector::inNamespace('App'),
                Selector::inNamespace('Symfony'),
                Selector::inNamespace('Doctrine'),
                Selector::inNamespace('Twig'),
                Selector::inNamespace('Psr'),
            )
            ->because('the core computes; it is told everything and asks nobody');
    }

    public function testEntitiesKnowNoControllersAndNoServices(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Entity'))
            ->shouldNot()
            ->dependOn()
            ->classes(Selector::inNamespace('App\Controller'), Selector::inNamespace('App\Service'), Selector::inNamespace('App\Form'))
            ->because('what is stored does not depend on who shows it');
    }
}
