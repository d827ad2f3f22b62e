<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

use App\Models\RehearsalRow;
use Illuminate\Support\Facades\DB;
use SilverParrot\Rehearsal\Checkpoint;
use SilverParrot\Value\Moment;

/** The checkpoints of a rehearsal, as rows. */
final class CheckpointRows
{
    /** Bytes of one. */
    private const LONGEST = 12_000_000;

    /**
     * In the transaction that ends a rehearsal.
     *
     * @param  list<Checkpoint>  $checkpoints
     */
    public static function keep(RehearsalRow $row, Moment $start, array $checkpoints): void
    {
        DB::table('rehearsal_checkpoints')->where('rehearsal_id', $row->id)->delete();
        foreach ($checkpoints as $one) {
            $document = $one->toJson();
            // Without one of them none behind it is any use.
            if (strlen($document) > self::LONGEST) {
                return;
            }
            DB::table('rehearsal_checkpoints')->insert([
                'channel_id' => $row->channel_id,
                'rehearsal_id' => $row->id,
                'millis' => max(0, $one->clock - $start->millis),
                'document' => $document,
            ]);
        }
    }

    /** @return list<Checkpoint> all before a moment, in their order */
    public static function before(RehearsalRow $row, int $millis): array
    {
        /** @var list<string> $documents */
        $documents = DB::table('rehearsal_checkpoints')
            ->where('channel_id', $row->channel_id)
            ->where('rehearsal_id', $row->id)
            ->where('millis', '<', $millis)
            ->orderBy('id')
            ->pluck('document')
            ->all();

        return array_values(array_filter(array_map(Checkpoint::fromJson(...), $documents)));
    }
}
