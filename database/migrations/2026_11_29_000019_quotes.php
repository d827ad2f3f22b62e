<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What was said and is kept, under a number for good, with the words by which it is found. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('quotes', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('number');
            $table->string('text', 500);
            $table->string('credits', 100)->default('');
            // Folded, for those of somebody.
            $table->string('credits_folded', 200)->default('');
            $table->string('link', 500)->default('');
            $table->string('category', 500)->default('');
            // ISO 8601: it may lie in any year.
            $table->string('said_at', 40)->default('');
            $table->string('kept_by', 100)->default('');
            $table->unique(['channel_id', 'number']);
            $table->index(['channel_id', 'credits_folded', 'number']);
        });
        Schema::create('quote_words', static function (Blueprint $table): void {
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->string('word', 60);
            $table->unsignedBigInteger('number');
            $table->primary(['channel_id', 'word', 'number']);
            $table->index(['channel_id', 'number']);
        });
        Schema::create('last_quotes', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->unique()->constrained()->cascadeOnDelete();
            // The highest number that a quote ever had: none is given twice.
            $table->unsignedBigInteger('number');
        });
        Schema::table('channels', static function (Blueprint $table): void {
            $table->boolean('quotes_all_once')->default(false);
            $table->string('quote_dates', 40)->default('');
        });
    }
};
