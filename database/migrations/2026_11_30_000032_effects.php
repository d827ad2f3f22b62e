<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What people bring about from the chat besides sayings and memory, and who may change commands there. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('effects', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->string('event_key', 180);
            $table->string('state', 10);
            // What is to be done, and which steps go on behind it; both are emptied once that is done.
            $table->json('effect');
            $table->json('goes_on');
            // What is told of it: the reason where it was refused.
            $table->json('outcome')->nullable();
            $table->unsignedBigInteger('by_viewer_id')->default(0);
            // What it changed: a command or a timer, by its id, as the pack document writes it.
            $table->string('deed', 40);
            $table->string('kind', 10)->default('');
            $table->string('subject', 60)->default('');
            $table->json('before')->nullable();
            $table->json('after')->nullable();
            $table->boolean('draft_differs')->default(false);
            $table->unsignedInteger('edition')->nullable();
            $table->timestamp('asked_at', 3)->useCurrent();
            $table->timestamp('seen_at')->nullable();
            $table->timestamp('undone_at')->nullable();
            $table->unique(['channel_id', 'event_key']);
            $table->index(['channel_id', 'state']);
        });
        Schema::table('channels', static function (Blueprint $table): void {
            // As the pack document has it.
            $table->json('from_chat')->default('{}')->after('refusals');
        });
        foreach (['changes', 'definition_changes'] as $history) {
            Schema::table($history, static function (Blueprint $table): void {
                $table->unsignedBigInteger('by_viewer_id')->default(0)->after('user_id');
            });
        }
    }
};
