<?php

declare(strict_types=1);

namespace App\Service;

use Symfony\Component\HttpFoundation\Session\Storage\Handler\NativeFileSessionHandler;
use Symfony\Component\HttpFoundation\Session\Storage\Handler\NullSessionHandler;

/** Sessions are files beside the book. Where nothing can be written there are none: pages are read, and nothing can be sent. */
final class SessionFolder
{
    public static function handler(string $folder): \SessionHandlerInterface
    {
        return is_dir($folder) && is_writable($folder) ? new NativeFileSessionHandler($folder) : new NullSessionHandler();
    }
}
