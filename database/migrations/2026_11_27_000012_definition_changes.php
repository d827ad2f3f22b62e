<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What else an author sets besides commands has its history too. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('definition_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            // Which kind, and which of it: an emote's word, a member's number; empty where there is one alone.
            $table->string('kind', 20);
            $table->string('subject', 60);
            $table->json('before')->nullable();
            $table->json('after')->nullable();
            $table->timestamp('undone_at')->nullable();
            $table->timestamps();
            $table->index(['channel_id', 'kind', 'id']);
        });
    }
};
