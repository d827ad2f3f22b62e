<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What points are called and how they are earned, what goods there are to sell, and when the channel streams. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('fields', static function (Blueprint $table): void {
            $table->string('one', 60)->default('');
            $table->string('many', 60)->default('');
            $table->unsignedBigInteger('least_gift')->default(1);
            $table->boolean('ranks_streamer')->default(false);
        });
        Schema::table('goods', static function (Blueprint $table): void {
            $table->unsignedBigInteger('stock')->nullable();
            $table->unsignedBigInteger('buy_back')->default(0);
        });
        Schema::table('ladders', static function (Blueprint $table): void {
            $table->boolean('by_ever_earned')->default(false);
            $table->boolean('is_on')->default(true);
        });
        Schema::create('earnings', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->string('stable_id', 60);
            // The id of a field that holds points.
            $table->string('unit', 60);
            $table->string('earned_by', 20);
            $table->unsignedInteger('amount');
            $table->unsignedSmallInteger('minutes')->default(0);
            $table->json('levels');
            $table->boolean('while_live')->default(true);
            $table->timestamps();
            $table->unique(['channel_id', 'stable_id']);
        });
        Schema::table('channels', static fn (Blueprint $table) => $table->json('plan')->nullable());
        Schema::create('sold_goods', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->string('goods', 180);
            $table->unsignedBigInteger('number');
            $table->unique(['channel_id', 'goods']);
        });
        Schema::create('check_ins', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('viewer_id')->default(0);
            $table->json('state');
            $table->unique(['channel_id', 'viewer_id']);
        });
        Schema::table('ledger', static function (Blueprint $table): void {
            // The stream or day for which being here was earned: one row, raised in place. Null for all else.
            $table->string('presence', 40)->nullable();
            $table->unique(['channel_id', 'viewer_id', 'unit', 'presence']);
        });
        Schema::table('viewers', static function (Blueprint $table): void {
            $table->index(['channel_id', 'lines']);
            $table->index(['channel_id', 'last_seen']);
            $table->index(['channel_id', 'first_seen']);
        });
    }
};
