<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('viewers', static function (Blueprint $table): void {
            // While the stream was live.
            $table->unsignedInteger('minutes_here')->default(0)->after('days');
            // Who is here is looked for every minute, among all who ever were.
            $table->index(['channel_id', 'last_here']);
        });
    }
};
