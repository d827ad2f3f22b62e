<?php

declare(strict_types=1);

namespace App\Rehearse;

use App\Models\Channel;
use App\Models\CommandRow;
use App\Models\ExpectationRow;
use App\Storage\Assembler;
use SilverParrot\Rehearsal\ExpectationResult;
use SilverParrot\Rehearsal\Expected;
use SilverParrot\Source\Wording;

/** What was called right for a command, and whether it still is. */
final readonly class Expectations
{
    public function __construct(private Assembler $assembler, private Wording $wording)
    {
    }

    /** @return array<int, ExpectationResult> by the row's number */
    public function check(Channel $channel, CommandRow $command): array
    {
        $rows = $command->expectations()->get();
        if ($rows->isEmpty()) {
            return [];
        }
        $lines = array_map(static fn (ExpectationRow $row): string => $row->document->line, $rows->all());
        $pack = $this->assembler->reachedBy($channel, array_values($lines));
        $holdings = [];
        foreach ($rows as $row) {
            /** @var ExpectationRow $row */
            $holdings[$row->id] = Expected::check($pack, $row->document, $channel->profile(), $this->wording);
        }

        return $holdings;
    }
}
