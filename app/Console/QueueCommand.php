<?php

declare(strict_types=1);

namespace App\Console;

use App\Storage\AwaitedTables;
use Illuminate\Console\Command;

/** Does what takes too long for a page; it begins anew now and then, so that nothing piles up in it. */
final class QueueCommand extends Command
{
    protected $signature = 'parrot:queue';

    protected $description = 'Do what takes too long for a page';

    public function handle(): int
    {
        AwaitedTables::await('jobs');

        return $this->call('queue:work', [
            '--sleep' => 2,
            '--tries' => 3,
            '--backoff' => 10,
            '--timeout' => 240,
            '--max-time' => 3600,
            '--quiet' => true,
        ]);
    }
}
