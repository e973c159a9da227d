<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Support;

/** Changes places in a decoded document by their JSON pointer. */
final class Document
{
    /**
     * @param array<string, mixed> $document
     * @param array<string, mixed> $changes  by pointer; null takes the place away
     */
    public static function changed(array $document, array $changes): string
    {
        $object = json_decode(json_encode($document, \JSON_THROW_ON_ERROR), false, 64, \JSON_THROW_ON_ERROR);
        foreach ($changes as $pointer => $value) {
            $place = &$object;
            foreach (\array_slice(explode('/', $pointer), 1) as $key) {
                if (\is_array($place)) {
                    $place = &$place[(int) $key];
                } elseif ($place instanceof \stdClass) {
                    $place = &$place->{$key};
                } else {
                    throw new \LogicException('There is no '.$pointer);
                }
            }
            $place = $value;
            unset($place);
        }

        return json_encode($object, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION);
    }
}
