<?php

declare(strict_types=1);

namespace App\Console;

use SilverParrot\Rehearsal\ChatFile;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\MemoryFormat;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Rehearsal\Runner;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Wording;

final class RehearseCommand extends CoreCommand
{
    protected $signature = 'parrot:rehearse
        {pack : a pack document}
        {chat : a chat as lines}
        {--seed=1 : the same seed says the same words}
        {--now= : the moment of the start, ISO 8601}
        {--memory= : a memory document}
        {--readings= : recorded answers of look-ups, or troubles}
        {--profile=stream : the chat profile}
        {--json : a report for machines}';

    protected $description = 'Run a chat through a pack, without a database';

    public function handle(Wording $wording): int
    {
        [$pack, $flaws] = $this->pack($this->argument('pack'));
        $file = ChatFile::read($this->file($this->argument('chat')), Limits::REHEARSAL_FILE_LINES);
        $memory = $this->text('memory');
        [$situation, $more] = $memory === '' ? [new InitialState, []] : MemoryFormat::read($this->file($memory), $pack);
        $situation = $situation->withDetailsOf($pack);
        [$situation, $unread] = $this->answered($situation, $pack);
        $findings = [...$flaws, ...$more, ...$unread, ...$file->findings];
        if ($findings !== []) {
            $this->tell($findings);

            return self::INVALID;
        }
        $report = Runner::run(
            new Rehearsal($pack, $situation, $this->text('seed', '1'), $this->profile(), wording: $wording),
            $file->lines,
            $file->levels,
            $this->moment(),
            $file->names,
        );
        if ($this->option('json') === true) {
            $this->json($report->toArray($wording));

            return self::SUCCESS;
        }
        foreach ($report->heard as $heard) {
            $this->say(
                sprintf(
                    '%7s %s: %s',
                    '+'.intdiv($heard->line->millis, 1000).'s',
                    $heard->by->name ?? '',
                    $heard->number === null ? '…' : $heard->line->text,
                ),
            );
            foreach ($heard->outcome->texts() as $text) {
                $this->say("        → $text");
            }
            if ($heard->outcome->sayings === [] && $heard->outcome->command !== null) {
                $why = $heard->outcome->closed->reason ?? $heard->outcome->failed?->message();
                $this->say('        – '.($why === null ? 'nothing was said' : $wording->of($why)));
            }
        }

        return self::SUCCESS;
    }
}
