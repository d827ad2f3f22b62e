<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How often commands succeeded within a stream or a day, for those that may only so often. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('command_successes', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            // The command’s folded id, and what it is counted for.
            $table->string('command', 190);
            $table->unsignedBigInteger('viewer_id')->default(0);
            $table->string('period', 60);
            $table->unsignedInteger('times');
            $table->unique(['channel_id', 'command', 'viewer_id']);
        });
    }
};
