<?php

declare(strict_types=1);

namespace Ground;

/** Writing that notices a full disk instead of leaving half a file. */
final class Disk
{
    /** A fresh data directory takes about 130 MB; below this the database server would stop half way. */
    public const ROOM_FOR_DATA = 300 * 1024 * 1024;

    private const LEAST = 1024 * 1024;

    public static function isFull(string $folder, int $wanted = self::LEAST): bool
    {
        $free = @disk_free_space($folder);

        return $free !== false && $free < $wanted;
    }

    /**
     * For what need not outlive the machine: a folder in memory, where nothing waits for a disk, if there is such a one
     * with room.
     */
    public static function inMemory(int $wanted, string $otherwise): string
    {
        return is_writable('/dev/shm') && ! self::isFull('/dev/shm', $wanted) ? '/dev/shm' : $otherwise;
    }

    public static function write(string $file, string $text, int $mode = 0o600): void
    {
        $part = $file.'.part';
        if (@file_put_contents($part, $text) !== strlen($text)) {
            @unlink($part);
            throw self::isFull(dirname($file))
                ? Trouble::diskFull(dirname($file))
                : Trouble::cannotWrite(dirname($file));
        }
        chmod($part, $mode);
        rename($part, $file);
    }
}
