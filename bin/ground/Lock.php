<?php

declare(strict_types=1);

namespace Ground;

/** A lock that the kernel lets go of when its holder dies, however it dies. */
final class Lock
{
    /** @param  resource  $handle closed on exec, so that no program started from here keeps the lock */
    private function __construct(private $handle)
    {
    }

    public static function take(string $file): ?self
    {
        $handle = @fopen($file, 'ce');
        if ($handle === false) {
            throw Disk::isFull(dirname($file))
                ? Trouble::diskFull(dirname($file))
                : Trouble::cannotWrite(dirname($file));
        }
        if (! flock($handle, LOCK_EX | LOCK_NB)) {
            fclose($handle);

            return null;
        }

        return new self($handle);
    }

    public static function isHeld(string $file): bool
    {
        if (! is_file($file)) {
            return false;
        }
        $lock = self::take($file);
        $lock?->release();

        return $lock === null;
    }

    public function release(): void
    {
        flock($this->handle, LOCK_UN);
        fclose($this->handle);
    }
}
