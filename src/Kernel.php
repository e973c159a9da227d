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

    /**
     * The version of the core is its code, that of the pages their templates, words and all that fills them: what was kept is computed anew
     * when any of it changes.
     */
    protected function build(ContainerBuilder $container): void
    {
        $core = $this->hashOf($container, 'core/src');
        $container->setParameter('app.core_version', $core);
        $pages = array_map(fn (string $folder): string => $this->hashOf($container, $folder), ['src', 'templates', 'translations']);
        $container->setParameter('app.page_version', hash('sha256', $core.implode('', $pages)));
    }

    /** The hash of all files below a folder of the project, by name and content; the container is built anew when it changes. */
    private function hashOf(ContainerBuilder $container, string $folder): string
    {
        $path = $this->getProjectDir().'/'.$folder;
        $container->addResource(new DirectoryResource($path));
        $hashes = [];
        /** @var \SplFileInfo $file */
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($path, \FilesystemIterator::SKIP_DOTS)) as $file) {
            $hashes[] = substr($file->getPathname(), \strlen($path)).hash_file('sha256', $file->getPathname());
        }
        sort($hashes);

        return hash('sha256', implode("\n", $hashes));
    }
}
