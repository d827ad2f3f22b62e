<?php

declare(strict_types=1);

namespace App\Storage\Backup;

/** A backup that was read through to its end before anybody relies on it. */
final readonly class BackupFile
{
    /** Bytes of one line; an edition of a full pack is the longest. */
    private const LONGEST_LINE = 134_217_728;

    private function __construct(
        private string $file,
        private int $version,
        public ?string $channel,
        public string $made,
        public int $rows,
    ) {
    }

    public static function open(string $file): self
    {
        $head = null;
        $rows = 0;
        $end = null;
        foreach (self::lines($file) as $number => $line) {
            if ($head === null) {
                $head = self::head($file, $line);
            } elseif ($end !== null || ! is_array($line)) {
                throw BackupFailed::broken($file, $number);
            } elseif (isset($line['end'])) {
                $end = $line['end'];
            } elseif (
                ! is_string($line['in'] ?? null)
                || ! isset(Table::all()[$line['in']])
                || ! is_array($line['row'] ?? null)
            ) {
                throw BackupFailed::broken($file, $number);
            } else {
                $rows++;
            }
        }
        if ($head === null) {
            throw BackupFailed::notABackup($file);
        }
        if ($end !== $rows) {
            throw BackupFailed::broken($file, $rows + 2);
        }

        return new self(
            $file,
            $head['version'],
            is_string($head['channel'] ?? null) ? $head['channel'] : null,
            is_string($head['made'] ?? null) ? $head['made'] : '',
            $rows,
        );
    }

    public function name(): string
    {
        return $this->file;
    }

    /**
     * @return iterable<array{string, array<string, null|bool|float|int|string>, int}> table, row as the tables have it
     *     today, and its line in the file
     */
    public function rows(): iterable
    {
        $older = $this->version === 1 ? new RowsOfVersionOne : null;
        foreach (self::lines($this->file) as $number => $line) {
            if (is_array($line) && is_string($line['in'] ?? null) && is_array($line['row'] ?? null)) {
                /** @var array<string, null|bool|float|int|string> $row */
                $row = $line['row'];
                yield [$line['in'], $older?->row($line['in'], $row) ?? $row, $number];
            }
        }
    }

    /** @return array{version: int, channel?: mixed, made?: mixed} */
    private static function head(string $file, mixed $line): array
    {
        if (! is_array($line) || ($line['format'] ?? null) !== Backup::FORMAT || ! is_int($line['version'] ?? null)) {
            throw BackupFailed::notABackup($file);
        }
        if ($line['version'] > Backup::VERSION) {
            throw BackupFailed::newer($file, $line['version']);
        }

        return $line;
    }

    /** @return iterable<int, mixed> by line number, from 1 on */
    private static function lines(string $file): iterable
    {
        $in = is_file($file) ? @gzopen($file, 'rb') : false;
        if ($in === false) {
            throw BackupFailed::cannotRead($file);
        }
        try {
            for ($number = 1; ($line = @gzgets($in, self::LONGEST_LINE)) !== false; $number++) {
                yield $number => str_ends_with($line, "\n") ? json_decode($line, true) : null;
            }
        } finally {
            gzclose($in);
        }
    }
}
