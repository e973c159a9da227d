<?php

declare(strict_types=1);

namespace FeastLadle\Telling;

use FeastLadle\Document\FaultyDocument;

/** Reads data/words.json. */
final class LexiconReader
{
    /** @throws FaultyDocument */
    public function read(string $json): Lexicon
    {
        $document = json_decode($json, true, 8);
        if (!\is_array($document) || 'feast-ladle/words' !== ($document['format'] ?? null)) {
            throw FaultyDocument::because('format', 'This is no list of words.');
        }
        $lists = [];
        foreach ($document as $name => $list) {
            if (\is_array($list) && array_is_list($list)) {
                $lists[(string) $name] = self::words($list);
            }
        }
        $irregular = [];
        foreach (self::map($document['irregular'] ?? []) as $form => $of) {
            $irregular[$form] = \is_string($of) ? $of : '';
        }

        return new Lexicon(
            array_map(self::words(...), self::map($document['actions'] ?? [])),
            $irregular,
            array_map(self::words(...), self::map($document['vessels'] ?? [])),
            array_map(self::words(...), self::map($document['fires'] ?? [])),
            $lists,
        );
    }

    /** @return array<string, mixed> */
    private static function map(mixed $value): array
    {
        $map = [];
        foreach (\is_array($value) ? $value : [] as $key => $of) {
            $map[(string) $key] = $of;
        }

        return $map;
    }

    /** @return list<string> */
    private static function words(mixed $list): array
    {
        return array_values(array_filter(\is_array($list) ? $list : [], \is_string(...)));
    }
}
