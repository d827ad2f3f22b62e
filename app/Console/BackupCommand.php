<?php

declare(strict_types=1);

namespace App\Console;

use App\Storage\Backup\Backup;
use App\Storage\Backup\BackupFailed;
use Illuminate\Console\Command;

/** The application's part of `bin/parrot backup`. */
final class BackupCommand extends Command
{
    protected $signature = 'parrot:backup {file : where to write it} {--channel= : one channel, by its login}';

    protected $description = 'Write everything, or one channel, into a file';

    public function handle(Backup $backup): int
    {
        $channel = $this->option('channel');
        $told = [];
        try {
            $rows = $backup->write(
                $this->argument('file'),
                is_string($channel) ? $channel : null,
                function (string $table, int $rows) use (&$told): void {
                    $told[$table] = $rows;
                    if ($rows % 10_000 === 0 && $rows > 0) {
                        $this->line("{$table}: {$rows} rows so far");
                    }
                },
                fn (string $table, string $key) => $this->warn(
                    "Some text of {$table}, {$key}, cannot be read; the row was kept with marks in its place.",
                ),
            );
        } catch (BackupFailed $failed) {
            $this->error($failed->getMessage());

            return self::FAILURE;
        }
        $this->line(
            'Written: '
                .$this->argument('file')
                ." ({$rows} rows of "
                .count(array_filter($told))
                .' tables). Keep it where only you can read it; the settings (.env) are not in it.',
        );

        return self::SUCCESS;
    }
}
