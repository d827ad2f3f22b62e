<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** More of what lists, counters, occasions and facts can do, and what is remembered for it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('facts', static fn (Blueprint $table) => $table->boolean('is_response')->default(false));
        Schema::table('lists', static function (Blueprint $table): void {
            $table->boolean('each_viewer')->default(false);
            $table->boolean('responses')->default(false);
        });
        Schema::table('list_items', static fn (Blueprint $table) => $table->boolean('is_on')->default(true));
        Schema::table('counters', static function (Blueprint $table): void {
            $table->unsignedSmallInteger('guard_seconds')->default(0);
            $table->boolean('guard_by_another')->default(false);
        });
        Schema::table('occasions', static function (Blueprint $table): void {
            $table->boolean('coming')->default(false);
            $table->boolean('yearly')->default(false);
        });
        Schema::table('list_positions', static function (Blueprint $table): void {
            $table->unsignedBigInteger('viewer_id')->default(0)->after('list');
            $table->unique(['channel_id', 'list', 'viewer_id'], 'list_positions_each');
            $table->dropUnique('list_positions_whole');
        });
        Schema::create('list_draws', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->string('list', 180);
            $table->string('item', 70);
            $table->unsignedBigInteger('times');
            $table->unique(['channel_id', 'list', 'item']);
        });
        Schema::create('guarded_counts', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->string('counter', 180);
            $table->unsignedBigInteger('viewer_id')->default(0);
            $table->string('owner_kind', 10)->default('');
            $table->string('category', 180)->default('');
            $table->json('state');
            $table->unique(['channel_id', 'counter', 'viewer_id', 'owner_kind', 'category'], 'guarded_counts_whole');
        });
        foreach (['noted_numbers' => 'what', 'longest_runs' => 'occasion'] as $name => $named) {
            Schema::create($name, static function (Blueprint $table) use ($named): void {
                $table->id();
                $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
                $table->string($named, 190);
                $named === 'what' ? $table->bigInteger('number') : $table->json('state');
                $table->unique(['channel_id', $named]);
            });
        }
    }
};
