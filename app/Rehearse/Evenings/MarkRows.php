<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

use App\Models\Channel;
use App\Models\RehearsalRow;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use SilverParrot\Figures\Evening;
use SilverParrot\Figures\Mark;
use SilverParrot\Source\Wording;

/** The moments of an evening at which its pack had something to do, as rows: the picture is drawn from sums of them. */
final class MarkRows
{
    private const AT_ONCE = 400;

    private const LONGEST_TEXT = 500;

    /** In the transaction that ends a rehearsal. */
    public static function keep(RehearsalRow $row, Evening $evening): void
    {
        $lanes = array_flip(array_keys($evening->lanes));
        self::of($row)->delete();
        foreach (array_chunk($evening->marks, self::AT_ONCE) as $marks) {
            DB::table('rehearsal_marks')->insert(array_map(
                static fn (Mark $mark): array => self::columns($row, $mark, $lanes[$mark->lane]),
                $marks,
            ));
        }
    }

    /** @return array<string, int|string> */
    private static function columns(RehearsalRow $row, Mark $mark, int $lane): array
    {
        return [
            'channel_id' => $row->channel_id,
            'rehearsal_id' => $row->id,
            'millis' => $mark->millis,
            'lane' => $lane,
            'kind' => $mark->kind->value,
            'event' => $mark->event,
            'person' => $mark->by,
            'text' => mb_substr($mark->text, 0, self::LONGEST_TEXT),
            'said' => mb_substr(implode("\n", $mark->said), 0, 2 * self::LONGEST_TEXT),
            'gate' => mb_substr($mark->gate, 0, 60),
            'why' => $mark->why === null ? '' : mb_substr(app(Wording::class)->of($mark->why), 0, self::LONGEST_TEXT),
        ];
    }

    /** @return RehearsalRow|null whose moment it is; null where it is none of the channel's */
    public static function row(Channel $channel, int $mark): ?RehearsalRow
    {
        $rehearsal = DB::table('rehearsal_marks')
            ->where('channel_id', $channel->id)
            ->where('id', $mark)
            ->value('rehearsal_id');

        return $rehearsal === null ? null : $channel->rehearsals()->whereKey($rehearsal)->first();
    }

    public static function find(RehearsalRow $row, int $mark): ?KeptMark
    {
        return self::all(self::of($row)->where('id', $mark))[$mark] ?? null;
    }

    /** @return array<int, KeptMark> by number, in their order */
    public static function all(Builder $of): array
    {
        /**
         * @var list<object{id: int, millis: int, lane: int, kind: string, event: string, person: string,
         *     text: string, said: string, why: string}> $rows
         */
        $rows = $of->orderBy('millis')->orderBy('id')->get()->all();
        $marks = [];
        foreach ($rows as $one) {
            $marks[$one->id] = KeptMark::of($one);
        }

        return $marks;
    }

    public static function of(RehearsalRow $row): Builder
    {
        return DB::table('rehearsal_marks')
            ->where('rehearsal_marks.channel_id', $row->channel_id)
            ->where('rehearsal_id', $row->id);
    }

    /**
     * How often what came of each lane in each of so many equal pieces of a time.
     *
     * @return list<MarkSum>
     */
    public static function sums(RehearsalRow $row, PictureView $view, int $pieces): array
    {
        $step = max(1, intdiv($view->to - $view->from, $pieces));
        /** @var list<object{lane: int, kind: string, piece: int|string, count: int|string, id: int}> $sums */
        $sums = $view->filtered(self::of($row))
            ->selectRaw(
                'lane, kind, LEAST(?, (millis - ?) DIV ?) AS piece, COUNT(*) AS count, MIN(id) AS id',
                [$pieces - 1, $view->from, $step],
            )
            ->groupBy('lane', 'kind', 'piece')
            ->orderBy('lane')
            ->orderBy('piece')
            ->get()
            ->all();

        return array_map(
            static fn (object $one): MarkSum => new MarkSum(
                $one->lane,
                $one->kind,
                (int) $one->piece,
                (int) $one->count,
                $one->id,
            ),
            $sums,
        );
    }
}
