<?php

declare(strict_types=1);

namespace App;

use Symfony\Bundle\FrameworkBundle\Kernel\MicroKernelTrait;
use Symfony\Component\Config\Resource\DirectoryResource;
use Symfony\Component\DependencyInjection\ContainerBuilder;
use Symfony\Component\HttpKernel\Kernel as BaseKernel;

final class Kernel extends BaseKernel
{
    use MicroKernelTrait;

    /** The version of the core is its code: a kept plan is computed anew when any of it changes. */
    protected function build(ContainerBuilder $container): void
    {
        $core = $this->getProjectDir().'/core/src';
        $container->addResource(new DirectoryResource($core, '/\.php$/'));
        $hashes = [];
        /** @var \SplFileInfo $file */
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($core, \FilesystemIterator::SKIP_DOTS)) as $file) {
            $hashes[] = (string) hash_file('sha256', $file->getPathname());
        }
        sort($hashes);
        $container->setParameter('app.core_version', hash('sha256', implode('', $hashes)));
    }
}
