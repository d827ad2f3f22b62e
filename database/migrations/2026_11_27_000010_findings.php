<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What checks found in each command, kept until the command or something that it names is another. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('command_findings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->foreignId('command_id')->unique()->constrained()->cascadeOnDelete();
            // What was looked at: the command itself, what is around all of them, and the definitions that it names.
            $table->char('command_key', 32);
            $table->char('around_key', 32);
            $table->char('named_key', 32);
            $table->json('named');
            $table->json('findings');
            $table->index('channel_id');
        });
    }
};
