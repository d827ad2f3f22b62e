<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Responses are drawn in an order, and each may be for some people or categories only. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('commands', static function (Blueprint $table): void {
            $table->string('draw_order', 20)->default('free')->after('gates');
        });
        Schema::table('command_responses', static function (Blueprint $table): void {
            // By the key of the setting, as the pack document has it.
            $table->json('gates')->default('{}')->after('weight');
        });
    }
};
