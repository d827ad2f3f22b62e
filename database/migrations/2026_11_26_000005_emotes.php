<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** More of what an author declares: emotes, goods, and ladders of ranks. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('emotes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            // Written exactly so: two words that differ in case alone are two emotes.
            $table->string('word', 40);
            // As a data: address of pixels; empty where there is none.
            $table->mediumText('picture');
            $table->json('any_of');
            $table->string('at_least', 20)->nullable();
            $table->timestamps();
            $table->unique(['channel_id', 'word']);
        });
        foreach (['goods', 'ladders'] as $kind) {
            Schema::create($kind, function (Blueprint $table) use ($kind): void {
                $table->id();
                $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
                // A ladder has the name of the field that it goes by.
                $table->string('name', 60);
                $table->string('name_folded', 180);
                $kind === 'goods' ? $table->bigInteger('price') : $table->json('ranks');
                $table->timestamps();
                $table->unique(['channel_id', 'name_folded']);
            });
        }
    }
};
