<?php

declare(strict_types=1);

namespace App\Storage;

use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** At the very first start, who works in the background is there before the database and its tables are. */
final class AwaitedTables
{
    public static function await(string $table): void
    {
        while (! self::isThere($table)) {
            DB::purge();
            usleep(200_000);
        }
    }

    private static function isThere(string $table): bool
    {
        try {
            return Schema::hasTable($table);
        } catch (QueryException) {
            return false;
        }
    }
}
