<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Items that people add to lists in the chat, until the author keeps them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('lists', static function (Blueprint $table): void {
            $table->boolean('from_chat')->default(false);
        });
        Schema::create('items_from_chat', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            // Compared as the core folded it.
            $table->string('list', 60)->collation('utf8mb4_bin');
            $table->json('items');
            $table->unique(['channel_id', 'list']);
        });
    }
};
