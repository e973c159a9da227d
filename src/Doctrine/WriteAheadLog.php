<?php

declare(strict_types=1);

namespace App\Doctrine;

use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Middleware;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;

/**
 * Opens SQLite in write-ahead mode and lets writers wait for each other, so that several workers can share it; what is answered is on
 * the disk. A book in a folder that can't be written to is opened for reading only.
 */
final class WriteAheadLog implements Middleware
{
    public function wrap(Driver $driver): Driver
    {
        return new class($driver) extends AbstractDriverMiddleware {
            public function connect(#[\SensitiveParameter] array $params): Connection
            {
                $path = $params['path'] ?? '';
                if ('' !== $path && is_file($path) && !(is_writable($path) && is_writable(\dirname($path)))) {
                    $log = is_file($path.'-wal') && filesize($path.'-wal') > 0;

                    return parent::connect(
                        ['path' => 'file:'.strtr(rawurlencode($path), ['%2F' => '/']).($log ? '?mode=ro' : '?immutable=1')] +
                            $params,
                    );
                }
                $connection = parent::connect($params);
                $connection->exec('PRAGMA busy_timeout = 5000');
                $connection->exec('PRAGMA journal_mode = WAL');
                $connection->exec('PRAGMA synchronous = FULL');

                return $connection;
            }
        };
    }
}
