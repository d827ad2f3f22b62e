<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Channel;
use App\Remember\Moving\FileLines;
use App\Remember\Moving\KeptMemory;
use Illuminate\Console\Command;
use Symfony\Component\Console\Formatter\OutputFormatter;

/** What a channel remembers, into a file and out of it, however much it is. */
final class MemoryCommand extends Command
{
    protected $signature = 'parrot:memory {channel : its login} {file} {--bring : keep what is in the file}';

    protected $description = 'Write what a channel remembers into a file, or keep what is in one';

    public function handle(KeptMemory $memory): int
    {
        $channel = Channel::query()->where('login', $this->argument('channel'))->first();
        $file = (string) $this->argument('file');
        if ($channel === null) {
            $this->error(OutputFormatter::escape("There is no channel {$this->argument('channel')}."));

            return self::FAILURE;
        }
        if ($this->option('bring')) {
            return $this->bring($memory, $channel, $file);
        }
        $open = @fopen($file, 'xb');
        if ($open === false) {
            $this->error(OutputFormatter::escape("$file is there already, or cannot be written."));

            return self::FAILURE;
        }
        $lines = 0;
        foreach ($memory->lines($channel) as $line) {
            fwrite($open, $line);
            if (++$lines % 10_000 === 0) {
                $this->line("{$lines} lines so far");
            }
        }
        fclose($open);
        $this->line("Written: $lines lines. Keep the file where only you can read it.");

        return self::SUCCESS;
    }

    private function bring(KeptMemory $memory, Channel $channel, string $file): int
    {
        if (! is_readable($file)) {
            $this->error(OutputFormatter::escape("$file cannot be read."));

            return self::FAILURE;
        }
        $looked = $memory->look($channel, FileLines::of($file));
        foreach ($looked['problems'] as $problem) {
            $this->warn(OutputFormatter::escape($problem));
        }
        $kept = $memory->bring(
            $channel,
            FileLines::of($file),
            function (int $kept): bool {
                if ($kept % 10_000 === 0) {
                    $this->line("$kept kept so far");
                }

                return true;
            },
        );
        $this->line("Kept: $kept; left out: {$looked['wrong']}.");

        return $kept === 0 ? self::FAILURE : self::SUCCESS;
    }
}
