<?php

declare(strict_types=1);

namespace App\Service;

use FeastLadle\Larder\Larder;
use FeastLadle\Larder\LarderReader;

/** The larder, recipes, kitchens and demo feasts that ship with the application. */
final readonly class ShippedFiles
{
    public function __construct(private string $folder)
    {
    }

    public function larder(): Larder
    {
        return (new LarderReader())->read($this->read('larder.json'));
    }

    /** @return list<string> recipe documents */
    public function recipes(): array
    {
        $files = glob($this->folder.'/recipes/*.json') ?: [];

        return array_map(self::contents(...), $files);
    }

    public function kitchen(string $name): string
    {
        return $this->read('kitchens/'.$name.'.json');
    }

    public function feast(string $name): string
    {
        return $this->read('feasts/'.$name.'.json');
    }

    private function read(string $name): string
    {
        return self::contents($this->folder.'/'.$name);
    }

    private static function contents(string $path): string
    {
        $contents = file_get_contents($path);

        return false === $contents ? throw new \RuntimeException(\sprintf('The shipped file %s cannot be read.', $path)) : $contents;
    }
}
