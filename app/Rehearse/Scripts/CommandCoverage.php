<?php

declare(strict_types=1);

namespace App\Rehearse\Scripts;

use App\Models\Channel;
use App\Storage\Assembler;
use App\Storage\Named;
use SilverParrot\Pack\Command;
use SilverParrot\Rehearsal\Coverage\Coverable;
use SilverParrot\Rehearsal\Coverage\Coverables;
use SilverParrot\Rehearsal\Coverage\Coverage;
use SilverParrot\Rehearsal\Coverage\Reached;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Source\Wording;

/** How scripts stand, beside a command that is written, and what of it they do not reach. */
final readonly class CommandCoverage
{
    public function __construct(
        private ScriptRuns $runs,
        private Assembler $assembler,
        private ResponseCache $prepared,
        private Wording $wording,
    ) {
    }

    /**
     * @param  Reached  $replies  what the replies reach that are kept as expected of it
     * @return array{stand: ScriptsStand, coverage: Coverage, marks: array<string, array{text: string,
     *     spans: list<array{int, int, string}>}>} marks by place: where in the text of it nothing reaches
     */
    public function of(Channel $channel, Command $command, Reached $replies): array
    {
        $stand = $this->runs->scripts($channel);
        $pack = $this->assembler->names($channel, Named::in($command->sources(), $this->prepared));
        $coverage = new Coverage(
            Coverables::of($command, $pack, $this->prepared),
            $stand->reached + $replies->keys,
        );

        return [
            'stand' => $stand,
            'coverage' => $coverage,
            'marks' => $coverage->isBegun() ? $this->marks($coverage, $command->sources()) : [],
        ];
    }

    /**
     * @param  array<string, string>  $sources
     * @return array<string, array{text: string, spans: list<array{int, int, string}>}>
     */
    private function marks(Coverage $coverage, array $sources): array
    {
        $marks = [];
        $within = array_filter($coverage->missing(), static fn (Coverable $one): bool => $one->span !== null);
        foreach ($within as $one) {
            $marks[$one->place] ??= ['text' => $sources[$one->place] ?? '', 'spans' => []];
            $marks[$one->place]['spans'][] = [
                $one->span->from ?? 0,
                $one->span->to ?? 0,
                $this->wording->of($one->message($coverage->keys)),
            ];
        }

        return $marks;
    }
}
