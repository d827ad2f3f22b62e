<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Channel;
use App\Remember\Viewers\Erasing;
use App\Storage\Backup\BackupFailed;
use App\Storage\Backup\BackupFile;
use App\Storage\Backup\Restore;
use Illuminate\Console\Command;

/** The application's part of `bin/parrot restore`. */
final class RestoreCommand extends Command
{
    protected $signature = 'parrot:restore {file : the backup} {--channel= : only this channel, by its login}';

    protected $description = 'Put a backup back: everything, or one channel beside the others';

    public function handle(Restore $restore, Erasing $erasing): int
    {
        $channel = $this->option('channel');
        try {
            $file = BackupFile::open($this->argument('file'));
            $this->line("A backup of {$file->made} with {$file->rows} rows.");
            $notes = $restore->from($file, is_string($channel) ? $channel : null, function (
                string $table,
                int $rows,
            ): void {
                if ($rows % 10_000 === 0) {
                    $this->line("{$table}: {$rows} rows so far");
                }
            });
        } catch (BackupFailed $failed) {
            $this->error($failed->getMessage());

            return self::FAILURE;
        }
        foreach (Channel::query()->get() as $one) {
            $gone = $erasing->again($one);
            if ($gone > 0) {
                $notes[] = "In {$one->login}, {$gone} who had asked to be forgotten are forgotten again.";
            }
        }
        foreach ($notes as $note) {
            $this->line($note);
        }
        $this->line(
            (is_string($channel) ? "The channel {$channel} is" : 'Everything is')
                ." as it was at {$file->made}. The parrot is silent there until somebody lets it speak in Publish.",
        );
        $this->line(
            'What was heard and changed since then is gone, and will not be heard again: a chat tells its lines once. '
                .'What waited to be said is not said any more.',
        );

        return self::SUCCESS;
    }
}
