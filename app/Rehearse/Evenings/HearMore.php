<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

use App\Models\RehearsalRow;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Some of the evenings of one rehearsal: each worker takes such a part. */
final class HearMore implements ShouldQueue
{
    use Queueable;

    /** In seconds. */
    public int $timeout = 240;

    public int $tries = 2;

    /**
     * @param  int  $from  number of the first, counted from 0
     * @param  int  $to  behind the last
     */
    public function __construct(
        public readonly int $rehearsal,
        public readonly int $from,
        public readonly int $to,
    ) {
    }

    public function handle(SeveralEvenings $evenings): void
    {
        $row = RehearsalRow::query()->find($this->rehearsal);
        if ($row !== null) {
            $evenings->hear($row, $this->from, $this->to);
        }
    }

    public function failed(): void
    {
        (new HearEvening($this->rehearsal))->failed();
    }
}
