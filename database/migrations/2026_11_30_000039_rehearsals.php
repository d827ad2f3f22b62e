<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Scripts, and rehearsals of whole evenings with what they came to. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('scripts', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->string('stable_id', 60);
            $table->string('title', 100);
            $table->mediumText('text');
            $table->boolean('holds')->nullable();
            $table->string('unmet', 300)->nullable();
            // Which state of the draft that was.
            $table->string('ran_against', 60)->nullable();
            $table->unique(['channel_id', 'stable_id']);
        });
        Schema::create('rehearsals', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('kind', 12);
            $table->string('title', 120);
            $table->json('options');
            $table->string('state', 12);
            $table->unsignedInteger('done')->default(0);
            $table->unsignedInteger('total')->default(0);
            $table->longText('result')->nullable();
            // What it was heard with: the pack, and what it found in the real memory.
            $table->longText('pack')->nullable();
            $table->longText('found')->nullable();
            $table->string('trouble', 300)->nullable();
            $table->dateTime('created_at', 3);
            $table->dateTime('ended_at', 3)->nullable();
            $table->index(['channel_id', 'created_at']);
        });
        // One row for each moment at which the pack had something to do: the picture is drawn from them.
        Schema::create('rehearsal_marks', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->foreignId('rehearsal_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('millis');
            $table->unsignedSmallInteger('lane');
            $table->string('kind', 12);
            $table->string('event', 120);
            $table->string('person', 60);
            $table->text('text');
            $table->text('said');
            $table->string('gate', 60);
            $table->string('why', 500);
            $table->index(['rehearsal_id', 'millis']);
            $table->index(['rehearsal_id', 'lane', 'millis']);
        });
    }
};
