<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How a long rehearsal stood now and then, so that a moment of it is heard again from nearby. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('rehearsal_checkpoints', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->foreignId('rehearsal_id')->constrained()->cascadeOnDelete();
            // Since its start.
            $table->unsignedInteger('millis');
            $table->mediumText('document');
            $table->index(['rehearsal_id', 'millis']);
        });
        // What was written so far, while it is heard.
        Schema::table('rehearsals', static function (Blueprint $table): void {
            $table->json('sketch')->nullable();
        });
        // Where several evenings are heard, the figures of each.
        Schema::create('rehearsal_runs', static function (Blueprint $table): void {
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->foreignId('rehearsal_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('number');
            $table->mediumText('figures');
            $table->primary(['rehearsal_id', 'number']);
        });
    }
};
