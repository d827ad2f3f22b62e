<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Replies for closed gates are written once for the channel. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('channels', static function (Blueprint $table): void {
            // By the key of the refusal, as the pack document has them.
            $table->json('refusals')->default('{}')->after('flood_channel');
        });
    }
};
