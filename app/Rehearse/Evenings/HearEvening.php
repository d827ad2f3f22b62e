<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

use App\Models\RehearsalRow;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** A rehearsal of a whole evening, heard by a worker. */
final class HearEvening implements ShouldQueue
{
    use Queueable;

    public const QUEUE = 'rehearsals';

    /** In seconds. */
    public int $timeout = 240;

    public int $tries = 2;

    public function __construct(public readonly int $rehearsal)
    {
    }

    public function handle(Evenings $evenings): void
    {
        $row = RehearsalRow::query()->find($this->rehearsal);
        if ($row !== null) {
            $evenings->hear($row);
        }
    }

    /** One that died says so, instead of standing there for ever. */
    public function failed(): void
    {
        $row = RehearsalRow::query()->find($this->rehearsal);
        if ($row !== null && $row->state->isOpen()) {
            app(Evenings::class)->fail($row, 'It was ended by a mistake of ours, or took too long.');
        }
    }
}
