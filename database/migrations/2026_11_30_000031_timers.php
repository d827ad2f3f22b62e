<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Timers, and since when each of them waits. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('timers', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->string('stable_id', 60);
            $table->string('name', 60);
            $table->string('name_folded', 180);
            // As the pack document has it.
            $table->json('document');
            $table->unique(['channel_id', 'stable_id']);
            $table->unique(['channel_id', 'name_folded']);
        });
        Schema::create('timer_states', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 10);
            $table->string('timer', 180);
            $table->json('state');
            $table->unique(['channel_id', 'kind', 'timer']);
        });
    }
};
