<?php

declare(strict_types=1);

namespace App\Controller;

use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;

/** The version of a record that a form was made for, as it sends it back. */
final class SeenVersion
{
    /**
     * @return int|null null when the form does not say
     *
     * @throws BadRequestHttpException when what it says is no version
     */
    public static function in(Request $request): ?int
    {
        $version = $request->request->getString('version');

        return match (true) {
            '' === $version => null,
            1 === preg_match('/^\d{1,9}$/D', $version) => (int) $version,
            default => throw new BadRequestHttpException('The form does not say which version it was made for. Load the page again.'),
        };
    }
}
