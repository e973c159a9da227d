<?php

declare(strict_types=1);

namespace App\Service;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Contracts\Cache\CacheInterface;

/**
 * What follows from stored documents (the larder, a plan as objects, its chances, its drawings), computed once and kept. Whoever asks
 * names in the key all that it depends on; where nothing can be written it is computed anew each time.
 */
final readonly class Kept
{
    public function __construct(#[Autowire(service: 'app.kept')] private CacheInterface $pool)
    {
    }

    /**
     * @template T
     *
     * @param string        $of      fingerprint of all that it follows from
     * @param string        $what    a word for what is kept
     * @param \Closure(): T $compute
     *
     * @return T
     */
    public function get(string $of, string $what, \Closure $compute): mixed
    {
        /** @var T $kept */
        $kept = $this->pool->get($what.'.'.$of, $compute);

        return $kept;
    }
}
