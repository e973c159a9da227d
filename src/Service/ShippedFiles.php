<?php

declare(strict_types=1);

namespace App\Service;

/** The larder, recipes, kitchens and demo feasts that ship with the application. */
final readonly class ShippedFiles
{
    public function __construct(private string $folder)
    {
    }

    public function larder(): string
    {
        return $this->read('larder.json');
    }

    public function words(): string
    {
        return $this->read('words.json');
    }

    /** @return array<string, string> recipe documents by slug */
    public function recipes(): array
    {
        $recipes = [];
        foreach (glob($this->folder.'/recipes/*.json') ?: [] as $file) {
            $recipes[basename($file, '.json')] = self::contents($file);
        }

        return $recipes;
    }

    /** @return array<string, string> kitchen documents by name */
    public function kitchens(): array
    {
        $kitchens = [];
        foreach (glob($this->folder.'/kitchens/*.json') ?: [] as $file) {
            $kitchens[basename($file, '.json')] = self::contents($file);
        }

        return $kitchens;
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
