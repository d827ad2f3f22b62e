<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\CommandRow;
use App\Storage\Assembler;
use App\Storage\CommandRepository;
use App\Wording\Sentences;
use SilverParrot\Hearing\CommandSummary;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Source\Fold;

/** Finds commands by trigger, alias, text, group, note, or what their sentence says. */
final readonly class FindCommands
{
    /** A page that is read, not scrolled for ever; finding narrows it. */
    public const MOST = 200;

    public function __construct(
        private Assembler $assembler,
        private KeptFindings $kept,
        private Sentences $sentences,
    ) {
    }

    /** @return array{groups: array<string, list<Entry>>, count: int, all: int} */
    public function in(Channel $channel, string $text): array
    {
        $query = $channel->commands()->with(['aliases', 'responses', 'expectations']);
        foreach (
            preg_split('/\s+/', Fold::caseless(mb_substr($text, 0, 200)), flags: PREG_SPLIT_NO_EMPTY) ?: [] as $word
        ) {
            // The text is a value, and its own % and _ are no wildcards.
            $query->where('findable', 'like', '%'.addcslashes($word, '%_\\').'%');
        }
        $count = (clone $query)->count();
        $names = $this->assembler->names($channel);
        $groups = [];
        /** @var list<CommandRow> $rows */
        $rows = array_values($query->orderBy('group')->orderBy('trigger_folded')->limit(self::MOST)->get()->all());
        $commands = [];
        foreach ($rows as $row) {
            $commands[$row->id] = CommandRepository::toCore($row);
        }
        $found = $this->kept->of($channel, $names, $commands);
        $prepared = new ResponseCache;
        foreach ($rows as $row) {
            $groups[$row->group][] = new Entry(
                $row->id,
                $commands[$row->id],
                $this->sentences->summary(CommandSummary::of($commands[$row->id], $prepared)),
                count($found->byCommand[$row->id] ?? []),
            );
        }

        // What belongs to no group stands last.
        $rest = $groups[''] ?? [];
        unset($groups['']);
        $groups += $rest === [] ? [] : ['' => $rest];

        return ['groups' => $groups, 'count' => $count, 'all' => $channel->commands()->count()];
    }
}
