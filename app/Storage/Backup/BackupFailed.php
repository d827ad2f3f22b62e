<?php

declare(strict_types=1);

namespace App\Storage\Backup;

/** Why a backup could not be made or put back, in a sentence with a way out. */
final class BackupFailed extends \RuntimeException
{
    public static function cannotWrite(string $file): self
    {
        return new self("Nothing can be written to {$file}. Choose another place, or free some room there.");
    }

    public static function cannotRead(string $file): self
    {
        return new self("{$file} cannot be read. Look at its name, and whether you may read it.");
    }

    public static function notABackup(string $file): self
    {
        return new self("{$file} is no backup of Silver Parrot.");
    }

    public static function newer(string $file, int $version): self
    {
        return new self(
            "{$file} was made by a later Silver Parrot (version {$version} of the form). Bring this one up to date "
                .'first.',
        );
    }

    public static function broken(string $file, int $line): self
    {
        return new self(
            "{$file} is broken at line {$line}: it was cut short or changed. Nothing was touched; take another copy "
                .'of it.',
        );
    }

    public static function malformed(string $file, int $line, string $table, string $column): self
    {
        return new self(
            "{$file} cannot be put back: at line {$line}, in a row of {$table}, “{$column}” is not what can stand "
                .'there. Nothing was touched; take another copy of it.',
        );
    }

    public static function unknownReference(string $file, int $line, string $table, string $column): self
    {
        return new self(
            "{$file} cannot be put back: at line {$line}, in a row of {$table}, “{$column}” names something that the "
                .'file does not hold. Nothing was touched; take another copy of it.',
        );
    }

    public static function foreignRow(string $file, int $line, string $table): self
    {
        return new self(
            "{$file} cannot be put back: at line {$line}, a row of {$table} belongs to another channel. Nothing was "
                .'touched; take another copy of it.',
        );
    }

    public static function inTheWay(string $login, \Throwable $failed): self
    {
        return new self(
            "The channel {$login} could not be exchanged, because something else was written at that moment. It is as "
                .'it was; try again.',
            previous: $failed,
        );
    }

    public static function noChannel(string $login): self
    {
        return new self("There is no channel named “{$login}” in it.");
    }

    public static function ofAChannel(string $login): self
    {
        return new self("It holds the channel {$login} alone. Say so: --channel={$login}");
    }
}
