<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\CommandRow;
use App\Storage\Assembler;
use App\Storage\CommandRepository;
use Illuminate\Database\Eloquent\Collection;
use SilverParrot\Checks\CheckContext;
use SilverParrot\Checks\Checks;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Finding;

/** All that checks say about a channel's pack, by the command it is about. */
final readonly class Findings
{
    public function __construct(private Assembler $assembler, private KeptFindings $kept)
    {
    }

    /** @param  int|null  $most  commands that may be looked at now; null for as many as there are */
    public function of(Channel $channel, ?int $most = KeptFindings::AT_ONCE): FindingsOfPack
    {
        $commands = [];
        foreach ($channel->commands()->with(['aliases', 'responses'])->orderBy('id')->get() as $row) {
            $commands[$row->id] = CommandRepository::toCore($row->setRelation('expectations', new Collection));
        }

        return $this->in($channel, $this->assembler->names($channel), $commands, $most);
    }

    /**
     * @param  Pack  $names  with all definitions, whole
     * @param  array<int, Command>  $commands  by the row's number
     */
    public function in(
        Channel $channel,
        Pack $names,
        array $commands,
        ?int $most = KeptFindings::AT_ONCE,
    ): FindingsOfPack {
        $found = $this->kept->of($channel, $names, $commands, $most);
        $groups = array_filter($found->byCommand, static fn (array $findings): bool => $findings !== []);
        // What looks across commands needs all of them, and costs little.
        $numbers = array_keys($commands);
        $across =
            $found->left > 0
                ? []
                : Checks::look(
                    CheckContext::before(
                        $names->withCommands(array_values($commands)),
                        Assembler::environment($channel),
                        $found->used,
                    ),
                    Checks::acrossCommands(),
                );
        foreach ($across as $finding) {
            $index = preg_match('#^/commands/(\d+)/#', $finding->at, $at) === 1 ? (int) $at[1] : -1;
            $groups[$numbers[$index] ?? 0][] =
                $index < 0
                    ? $finding
                    : new Finding(
                        $finding->kind,
                        $finding->span,
                        substr($finding->at, strlen("/commands/$index")),
                        $finding->data,
                        $finding->replacement,
                    );
        }
        $hasErrors = static fn (int $number): bool => array_filter(
            $groups[$number],
            static fn (Finding $finding): bool => $finding->isError(),
        ) !== [];
        $worst = static fn (int $number): int => match (true) {
            $hasErrors($number) => 0,
            $number !== 0 => 1,
            default => 2,
        };
        $order = array_keys($groups);
        usort($order, static fn (int $a, int $b): int => $worst($a) <=> $worst($b) ?: $a <=> $b);

        return new FindingsOfPack(
            array_map(
                static fn (int $number): array => [
                    'number' => $number,
                    'command' => $commands[$number] ?? null,
                    'findings' => $groups[$number],
                ],
                $order,
            ),
            $names,
            count($commands),
            $found->left,
        );
    }

    /** @return Command|null the command with one finding mended; null where that finding is not there any more */
    public function mended(Channel $channel, CommandRow $row, string $at, string $code, int $from): ?Command
    {
        $command = CommandRepository::toCore($row);
        $names = $this->assembler->names($channel);
        foreach (Checks::ofCommand($command, $names, Assembler::environment($channel)) as $finding) {
            $place = ltrim($finding->at, '/');
            if (
                $finding->at === $at
                && $finding->kind->code() === $code
                && $finding->span?->from === $from
                && $finding->replacement !== null
                && isset($command->sources()[$place])
            ) {
                $text = $command->sources()[$place];

                return $command->withSource(
                    $place,
                    mb_substr($text, 0, $finding->span->from)
                        .$finding->replacement
                        .mb_substr($text, $finding->span->to),
                );
            }
        }

        return null;
    }
}
