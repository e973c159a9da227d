<?php

declare(strict_types=1);

namespace App\Service;

use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Names all that a plan depends on: the feast, its kitchen, recipes and larder, and the code that computes it. */
final readonly class PlanFingerprint
{
    public function __construct(private KitchenLarder $larder, #[Autowire('%app.core_version%')] private string $coreVersion)
    {
    }

    public function of(OpenFeast $open): string
    {
        $recipes = [];
        foreach ($open->feast->dishes as $dish) {
            $recipes[] = $dish->recipe;
        }

        return hash(
            'sha256',
            $this->coreVersion
                .$this->larder->fingerprint()
                .serialize([$open->record->getDocument(), $open->record->getKitchen()->getDocument(), $recipes]),
        );
    }
}
