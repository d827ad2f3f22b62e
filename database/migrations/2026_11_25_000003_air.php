<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What the air needs: who holds a channel, what was heard, what is to be said, how memory came to be as it is. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('channels', function (Blueprint $table): void {
            // Raised whenever another talker takes the channel: whoever still has an older one writes nothing more.
            $table->unsignedBigInteger('lease_epoch')->default(0);
            $table->string('lease_holder', 100)->nullable();
            $table->dateTime('lease_until', 3)->nullable();
            // What the talker last said of its connection, and when.
            $table->string('air_state', 20)->default('away');
            $table->dateTime('air_seen_at', 3)->nullable();
            // Whether the chat tells people apart by something lasting, or by their nicks alone.
            $table->boolean('air_knows_people')->default(true);
            // Which chat; null for the harbour. The secret is encrypted.
            $table->json('chat_server')->nullable();
            $table->text('chat_secret')->nullable();
        });
        // What was heard and said, for a day. What a line found is kept with it, so that it can be heard again.
        Schema::create('heard_lines', function (Blueprint $table): void {
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('number');
            $table->dateTime('at', 3);
            // heard, said, dropped, or a notice of the chat's
            $table->string('kind', 20);
            $table->string('event_key', 190);
            $table->string('text', 2000);
            $table->json('person');
            $table->unsignedInteger('edition');
            $table->string('outcome', 500);
            $table->json('memory');
            $table->json('readings');
            $table->primary(['channel_id', 'number']);
            $table->index(['channel_id', 'at']);
        });
        Schema::create('heard_events', function (Blueprint $table): void {
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->string('event_key', 190);
            $table->dateTime('heard_at', 3);
            $table->primary(['channel_id', 'event_key']);
            $table->index('heard_at');
        });
        Schema::create('outgoing', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->string('event_key', 190);
            $table->unsignedInteger('position');
            $table->text('text');
            $table->string('voice', 20);
            $table->string('place', 20);
            $table->string('answer_to', 190);
            $table->string('to_login', 60);
            // queued, then handed before the socket is written to, or stale, or dropped
            $table->string('state', 20);
            $table->dateTime('queued_at', 3);
            $table->dateTime('handed_at', 3)->nullable();
            $table->unique(['channel_id', 'event_key', 'position']);
            $table->index(['channel_id', 'state']);
        });
        Schema::create('memory_history', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->string('key', 300);
            $table->json('before')->nullable();
            $table->json('after')->nullable();
            $table->string('event_key', 190);
            $table->dateTime('at', 3);
            $table->index(['channel_id', 'key']);
        });
    }
};
