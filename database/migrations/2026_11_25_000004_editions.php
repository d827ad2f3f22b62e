<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Numbered, immutable states of a pack, and which of them is on the air. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('editions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->string('note', 500);
            // The pack document itself, with its format and version.
            $table->longText('document');
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->timestamp('created_at');
            $table->unique(['channel_id', 'number']);
        });
        Schema::table('channels', function (Blueprint $table): void {
            $table->unsignedInteger('edition_on_air')->nullable();
            $table->boolean('paused')->default(false);
            // Triggers, folded, of commands that were silenced on the air at once, without an edition.
            $table->json('silenced')->default('[]');
        });
    }
};
