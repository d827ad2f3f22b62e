<?php

declare(strict_types=1);

namespace App\Console;

use App\Rehearse\Evenings\HearEvening;
use App\Rehearse\Evenings\Workers;
use App\Storage\AwaitedTables;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Hears evenings when nothing else wants the processor: the air comes first. */
final class WorkerCommand extends Command
{
    protected $signature = 'parrot:worker';

    protected $description = 'Hear rehearsals of whole evenings, at the lowest priority';

    public function handle(): int
    {
        $niceness = max(0, min(19, config()->integer('rehearsals.niceness')));
        @proc_nice($niceness);
        // Where processes are grouped by session, the group has a niceness of its own (sched(7)).
        @file_put_contents('/proc/self/autogroup', (string) $niceness);
        AwaitedTables::await('jobs');
        if (Workers::enter(getmypid() ?: 0)) {
            // Nobody else is there: what was taken up was never brought to its end, and is taken up anew.
            DB::table('jobs')->where('queue', HearEvening::QUEUE)->update(['reserved_at' => null]);
        }

        return $this->call('queue:work', [
            '--queue' => HearEvening::QUEUE,
            '--sleep' => 5,
            '--tries' => 2,
            '--backoff' => 5,
            '--timeout' => 240,
            '--max-time' => 3600,
            '--quiet' => true,
        ]);
    }
}
