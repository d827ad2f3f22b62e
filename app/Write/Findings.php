<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\Command as Row;
use App\Storage\Assembler;
use App\Storage\CommandRows;
use SilverParrot\Checks\Checks;
use SilverParrot\Pack\Command;
use SilverParrot\Source\Finding;

/** All that checks say about a channel's pack, by the command it is about. */
final readonly class Findings
{
    public function __construct(private Assembler $assembler)
    {
    }

    /**
     * @return list<array{row: Row|null, command: Command|null, findings: list<Finding>}> those with errors first; what belongs to no command last.
     *                                                                                    Places are counted from the command, or from the pack
     */
    public function of(Channel $channel): array
    {
        $rows = $channel->commands()->with(['aliases', 'responses', 'expectations'])->orderBy('id')->get()->all();
        $commands = array_map(CommandRows::toCore(...), $rows);
        $pack = $this->assembler->names($channel)->withCommands(array_values($commands));
        $groups = [];
        foreach (Checks::of($pack, $channel->surroundings()) as $finding) {
            $index = preg_match('#^/commands/(\d+)/#', $finding->at, $at) === 1 ? (int) $at[1] : -1;
            $groups[$index][] = $index < 0 ? $finding : new Finding($finding->kind, $finding->span, substr($finding->at, strlen("/commands/$index")), $finding->data, $finding->replacement);
        }
        $worst = static fn (int $index): int => array_filter($groups[$index], static fn (Finding $finding): bool => $finding->isError()) !== [] ? 0 : ($index < 0 ? 2 : 1);
        $order = array_keys($groups);
        usort($order, static fn (int $a, int $b): int => $worst($a) <=> $worst($b) ?: $a <=> $b);

        return array_map(static fn (int $index): array => ['row' => $rows[$index] ?? null, 'command' => $commands[$index] ?? null, 'findings' => $groups[$index]], $order);
    }

    /** @return Command|null the command with one finding mended; null where that finding is not there any more */
    public function mended(Channel $channel, Row $row, string $at, string $code, int $from): ?Command
    {
        $command = CommandRows::toCore($row);
        foreach (Checks::ofCommand($command, $this->assembler->names($channel), $channel->surroundings()) as $finding) {
            $place = ltrim($finding->at, '/');
            if ($finding->at === $at && $finding->kind->code() === $code && $finding->span?->from === $from && $finding->replacement !== null && isset($command->sources()[$place])) {
                $text = $command->sources()[$place];

                return $command->withSource($place, mb_substr($text, 0, $finding->span->from).$finding->replacement.mb_substr($text, $finding->span->to));
            }
        }

        return null;
    }
}
