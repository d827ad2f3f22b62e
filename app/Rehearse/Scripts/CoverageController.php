<?php

declare(strict_types=1);

namespace App\Rehearse\Scripts;

use App\Models\Channel;
use App\Models\CommandRow;
use App\Rehearse\Expectations;
use App\Storage\CommandRepository;
use Illuminate\Contracts\View\View;
use SilverParrot\Rehearsal\Coverage\Reached;

/** Runs scripts that have not run since the draft changed, some at a time, and tells what they reach of a command. */
final readonly class CoverageController
{
    public function __construct(
        private ScriptRuns $runs,
        private CommandCoverage $coverage,
        private Expectations $expectations,
    ) {
    }

    public function __invoke(Channel $channel, CommandRow $command): View
    {
        $this->runs->advance($channel);
        $replies = new Reached;
        $this->expectations->check($channel, $command, null, $replies);

        return view('write.partials.coverage', ['channel' => $channel, 'row' => $command] + $this->coverage->of(
            $channel,
            CommandRepository::toCore($command),
            $replies,
        ));
    }
}
