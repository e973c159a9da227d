<?php

declare(strict_types=1);

namespace App\Doctrine;

use App\Service\ChangedMeanwhile;
use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;

/**
 * Changes a record only while it is the one that was seen. The version is compared by the statement that takes SQLite's write
 * lock, so nobody comes in between; where somebody was quicker the record is read anew and the entity manager stays open
 * (Doctrine's own check, made when it flushes, closes it).
 */
final readonly class ComparesVersions
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /**
     * @param int|null                     $seen    version the change was made to; null: the one that was loaded
     * @param \Closure(): void             $change
     * @param \Closure(): ChangedMeanwhile $refusal
     *
     * @throws ChangedMeanwhile with the record as it is now; nothing is stored then
     */
    public function change(object $record, ?int $seen, \Closure $change, \Closure $refusal): void
    {
        $class = $this->entities->getClassMetadata($record::class);
        $version = $class->getColumnName((string) $class->versionField);
        $connection = $this->entities->getConnection();
        $connection->beginTransaction();
        try {
            $seen ??= $class->getFieldValue($record, (string) $class->versionField);
            $held = $connection->executeStatement(
                \sprintf('UPDATE %s SET %s = %2$s WHERE id = ? AND %2$s = ?', $class->getTableName(), $version),
                [current($class->getIdentifierValues($record)), $seen],
            );
            if (1 !== $held) {
                $connection->rollBack();
                $this->entities->refresh($record, LockMode::NONE);
                throw $refusal();
            }
            $change();
            $this->entities->flush();
            $connection->commit();
        } catch (\Throwable $e) {
            if ($connection->isTransactionActive() && !$e instanceof ChangedMeanwhile) {
                $connection->rollBack();
            }
            throw $e;
        }
    }
}
