<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * What a field takes, who may change a counter or a field through a response, what is said of ranks, extra parts of
 * addresses, who is here by the chat's own list, and which changes of memory were one act.
 */
return new class extends Migration
{
    public function up(): void
    {
        $changes = static function (Blueprint $table): void {
            // Levels as LevelFormat writes them in one line; empty for everybody.
            $table->string('changed_by', 100)->default('');
            $table->boolean('own_only')->default(false);
            $table->boolean('not_by_hand')->default(false);
        };
        Schema::table('counters', $changes);
        Schema::table('fields', $changes);
        Schema::table('fields', static function (Blueprint $table): void {
            $table->bigInteger('least')->nullable();
            $table->bigInteger('most')->nullable();
            $table->unsignedSmallInteger('longest')->default(500);
        });
        // Who stood on the chat's own list of people, and when it was told last.
        Schema::table('viewers', static fn (Blueprint $table) => $table->dateTime('last_here')->nullable());
        Schema::table('channels', static fn (Blueprint $table) => $table->dateTime('here_listed_at')->nullable());
        // Lines, as they are typed.
        Schema::table('facts', static fn (Blueprint $table) => $table->text('parts')->default(''));
        Schema::table('earnings', static fn (Blueprint $table) => $table->string('happening', 60)->default(''));
        Schema::table('ladders', static function (Blueprint $table): void {
            $table->text('rises')->default('');
            $table->text('falls')->default('');
        });
        Schema::table('memory_history', static function (Blueprint $table): void {
            // The same in all that were kept together and are undone together; null for what stands alone.
            $table->char('act', 26)->nullable();
            $table->index(['channel_id', 'kind', 'name', 'id']);
            $table->index(['channel_id', 'act']);
        });
    }
};
