<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A counter with a number for each viewer keeps their sum beside them, as one with a number for each category does. */
return new class extends Migration
{
    public function up(): void
    {
        DB::insert(
            "INSERT IGNORE INTO counter_numbers (channel_id, counter, viewer_id, owner_kind, category, number, period)
             SELECT channel_id, counter, 0, 'total', '', SUM(number), NULL FROM counter_numbers
             WHERE owner_kind = 'viewer' AND period IS NULL GROUP BY channel_id, counter",
        );
    }
};
