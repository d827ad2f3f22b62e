<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\CommandRow;
use App\Publish\SaidThisWeek;
use App\Storage\Assembler;
use App\Storage\CommandRepository;
use App\Wording\Sentences;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as Query;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use SilverParrot\Hearing\CommandSummary;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Source\Fold;
use stdClass;

/** Finds commands by trigger, alias, text, group, note, or what their sentence says; a stretch of them at a time. */
final readonly class FindCommands
{
    /** Lines that are there at once; the next come behind them by themselves. */
    public const FIRST = 20;

    /** Lines that come together after those. */
    public const NEXT = 100;

    /** Lines that are made at once, whatever is asked for. */
    public const MOST = 2_000;

    public function __construct(
        private Assembler $assembler,
        private KeptFindings $kept,
        private Sentences $sentences,
        private PlainSayings $sayings,
    ) {
    }

    /**
     * @param  int  $from  how many stand before them
     * @return array{groups: list<array{string|null, list<Entry>}>, count: int, all: int, next: int|null} each stretch
     *     with its group, null where it goes on with the one before; how many were found; where the next begin
     */
    public function in(
        Channel $channel,
        string $text,
        ListOrder $order = ListOrder::Group,
        int $from = 0,
        int $most = self::FIRST,
    ): array {
        $query = self::matching($channel, $text);
        $count = (clone $query)->count();
        $from = max(0, $from);
        $most = max(1, min($most, self::MOST));
        // The one before tells whether its group goes on.
        $before = $from > 0 ? 1 : 0;
        // Narrow rows are put in order, and only those that are shown are read whole.
        $used = self::ordered($channel, $query, $order)
            ->offset($from - $before)
            ->limit($most + $before)
            ->toBase()
            ->get()
            ->keyBy('id');
        $all = $channel
            ->commands()
            ->with(['aliases', 'responses', 'expectations'])
            ->whereIn('id', $used->keys())
            ->get()
            ->keyBy('id');
        $rows = array_values(array_filter(array_map($all->get(...), $used->keys()->all())));
        $group = null;
        if ($before === 1 && $rows !== []) {
            $group = array_shift($rows)->group;
        }

        return [
            'groups' => $this->stretches($channel, $rows, $used, $order, $group),
            'count' => $count,
            'all' => trim($text) === '' ? $count : $channel->commands()->count(),
            'next' => $from + count($rows) < $count && $rows !== [] ? $from + count($rows) : null,
        ];
    }

    /** @return Builder<CommandRow> */
    public static function matching(Channel $channel, string $text): Builder
    {
        $query = $channel->commands()->getQuery();
        foreach (
            preg_split('/\s+/', Fold::caseless(mb_substr($text, 0, 200)), flags: PREG_SPLIT_NO_EMPTY) ?: [] as $word
        ) {
            // The text is a value, and its own % and _ are no wildcards.
            $query->where('findable', 'like', '%'.addcslashes($word, '%_\\').'%');
        }

        return $query;
    }

    /**
     * @param  Builder<CommandRow>  $query
     * @return Builder<CommandRow> with when each was used last and how often, within a week
     */
    private static function ordered(Channel $channel, Builder $query, ListOrder $order): Builder
    {
        $used = SaidThisWeek::answers($channel)
            ->selectRaw('command, COUNT(*) AS times, MAX(handed_at) AS last')
            ->toBase();
        $query
            ->leftJoinSub($used, 'used', static fn (Query $on): Query => $on->whereColumn(
                'used.command',
                'commands.stable_id',
            ))
            ->select('commands.id', 'used.times', 'used.last');
        match ($order) {
            // What belongs to no group stands last.
            ListOrder::Group => $query->orderByRaw("`group` = ''")->orderBy('group'),
            ListOrder::Name => null,
            ListOrder::LastUsed => $query->orderByDesc('used.last'),
            ListOrder::MostUsed => $query->orderByDesc('used.times'),
            ListOrder::LastChanged => $query->orderByDesc('commands.updated_at')->orderByDesc('commands.id'),
        };

        return $query->orderBy('trigger_folded');
    }

    /**
     * @param  list<CommandRow>  $rows
     * @param  Collection<array-key, stdClass>  $used  how often each was used and when last, by the row’s number
     * @param  string|null  $group  of the command before them; null for none
     * @return list<array{string|null, list<Entry>}>
     */
    private function stretches(
        Channel $channel,
        array $rows,
        Collection $used,
        ListOrder $order,
        ?string $group,
    ): array {
        $commands = [];
        foreach ($rows as $row) {
            $commands[$row->id] = CommandRepository::toCore($row);
        }
        $names = $this->assembler->names($channel);
        $found = $this->kept->of($channel, $names, $commands);
        $prepared = new ResponseCache;
        $said = $this->sayings->of($channel, $names, $commands, $prepared);
        $stretches = [];
        $lines = [];
        $head = null;
        foreach ($rows as $row) {
            /** @var object{times: int|null, last: string|null} $use */
            $use = $used[$row->id];
            $entry = new Entry(
                $row->id,
                $commands[$row->id],
                $this->sentences->summary(CommandSummary::of($commands[$row->id], $prepared)),
                count($found->byCommand[$row->id] ?? []),
                $use->times ?? 0,
                $use->last === null ? null : Carbon::parse($use->last, 'UTC'),
                $said[$row->id] ?? null,
            );
            if ($order === ListOrder::Group && $group !== $row->group) {
                $stretches = $lines === [] ? $stretches : [...$stretches, [$head, $lines]];
                [$head, $lines] = [$row->group, []];
            }
            $lines[] = $entry;
            $group = $row->group;
        }

        return $lines === [] ? $stretches : [...$stretches, [$head, $lines]];
    }
}
