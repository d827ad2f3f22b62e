<?php

declare(strict_types=1);

namespace Tests\Feature;

use Closure;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;

/** What some work costs the database: statements, rows that it sends, models that are made of them. */
final readonly class DatabaseWork
{
    /** @param  list<string>  $statements */
    private function __construct(public array $statements, public int $rows, public int $models)
    {
    }

    /** @param  Closure(): mixed  $work */
    public static function of(Closure $work): self
    {
        $models = 0;
        Event::listen('eloquent.retrieved: *', static function () use (&$models): void {
            $models++;
        });
        $before = self::rowsSent();
        $already = $models;
        DB::flushQueryLog();
        DB::enableQueryLog();
        $work();
        DB::disableQueryLog();
        $statements = array_map(static fn (array $one): string => (string) $one['query'], DB::getQueryLog());
        $made = $models - $already;
        // Asking for the number sends a row of its own.
        $rows = self::rowsSent() - $before - 1;
        Event::forget('eloquent.retrieved: *');

        return new self(array_values($statements), $rows, $made);
    }

    private static function rowsSent(): int
    {
        /** @var object{Value: string} $row */
        $row = DB::selectOne("SHOW SESSION STATUS LIKE 'Rows_sent'");

        return (int) $row->Value;
    }
}
