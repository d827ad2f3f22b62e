<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Every row belongs to a channel. Columns that end in _folded hold what is compared without case, folded by the core.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('channels', function (Blueprint $table): void {
            $table->id();
            $table->string('login', 60)->unique();
            $table->string('name', 100);
            $table->string('language', 20)->default('en');
            $table->string('zone', 60)->default('UTC');
            $table->string('parrot', 60)->default('silver_parrot');
            $table->json('talkers');
            // What the streaming service last said of the channel; a rehearsal begins with it.
            $table->json('details');
            $table->string('seed', 100)->default('1');
            // Answers within 30 seconds, over all commands.
            $table->unsignedInteger('flood_person')->default(5);
            $table->unsignedInteger('flood_channel')->default(20);
            $table->timestamps();
        });
        Schema::create('memberships', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('role', 20);
            $table->timestamps();
            $table->unique(['channel_id', 'user_id']);
        });
        Schema::create('commands', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->string('trigger', 60);
            $table->string('trigger_folded', 180);
            $table->json('any_of');
            $table->string('at_least', 20)->nullable();
            $table->unsignedInteger('channel_cooldown');
            $table->unsignedInteger('person_cooldown');
            $table->text('level_refusal');
            $table->text('cooldown_refusal');
            $table->text('if_it_fails');
            $table->boolean('enabled');
            $table->boolean('listed');
            $table->string('group', 60);
            $table->text('note');
            $table->string('voice', 20);
            $table->string('place', 20);
            // Raised by every save: whoever saves must have seen the one before.
            $table->unsignedInteger('revision')->default(1);
            // All that it can be found by, folded.
            $table->mediumText('findable');
            $table->timestamps();
            $table->unique(['channel_id', 'trigger_folded']);
        });
        Schema::create('command_aliases', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->foreignId('command_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->string('alias', 60);
            $table->string('alias_folded', 180);
            $table->unique(['channel_id', 'alias_folded']);
        });
        Schema::create('command_responses', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->foreignId('command_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->text('text');
            $table->unsignedInteger('weight');
            $table->index(['command_id', 'position']);
        });
        Schema::create('expectations', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->foreignId('command_id')->constrained()->cascadeOnDelete();
            // The expectation as the pack document writes it.
            $table->json('document');
            $table->timestamps();
        });
        foreach (['facts', 'lists', 'counters', 'occasions', 'fields'] as $kind) {
            Schema::create($kind, function (Blueprint $table) use ($kind): void {
                $table->id();
                $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
                $table->string('name', 60);
                $table->string('name_folded', 180);
                match ($kind) {
                    'facts' => $table->text('text'),
                    'lists' => $table->string('draw_order', 20),
                    'counters' => $table->string('scope', 20),
                    'fields' => $table->string('type', 20),
                    default => null,
                };
                if ($kind === 'counters') {
                    $table->bigInteger('start')->default(0);
                    $table->bigInteger('floor')->nullable();
                    $table->bigInteger('ceiling')->nullable();
                    $table->string('reset', 20)->default('never');
                }
                if ($kind === 'fields') {
                    $table->string('start', 500)->nullable();
                }
                $table->timestamps();
                $table->unique(['channel_id', 'name_folded']);
            });
        }
        Schema::create('list_items', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->foreignId('list_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->text('text');
            $table->unsignedInteger('weight');
            $table->index(['list_id', 'position']);
        });
        Schema::create('cast_members', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->string('login', 60);
            $table->string('name', 60);
            $table->json('levels');
            $table->unsignedTinyInteger('tier')->default(0);
            $table->string('habits', 300);
            $table->json('record');
            $table->unique(['channel_id', 'login']);
        });
        Schema::create('changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->unsignedBigInteger('command_id');
            $table->string('kind', 20);
            // The command as the pack document writes it, before and after; null where there was none.
            $table->json('before')->nullable();
            $table->json('after')->nullable();
            $table->timestamp('undone_at')->nullable();
            $table->timestamps();
            $table->index(['channel_id', 'command_id']);
        });
        Schema::create('memory', function (Blueprint $table): void {
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->string('key', 300);
            $table->json('value');
            $table->timestamp('updated_at')->useCurrent();
            $table->primary(['channel_id', 'key']);
        });
    }
};
