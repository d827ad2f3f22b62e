<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Web sources, who may be asked, what was answered, and how asking went. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('lookups', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->string('stable_id', 60)->collation('utf8mb4_bin');
            $table->string('name', 60);
            $table->string('name_folded', 180)->collation('utf8mb4_bin');
            // As the pack document has it.
            $table->json('document');
            // Values of secret headers, encrypted; they are in no document, history or trace.
            $table->text('secrets')->nullable();
            $table->unique(['channel_id', 'stable_id']);
            $table->unique(['channel_id', 'name_folded']);
        });
        Schema::create('allowed_hosts', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            // With the port, where it is not the web's own.
            $table->string('host', 260)->collation('utf8mb4_bin');
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->dateTime('allowed_at');
            $table->unique(['channel_id', 'host']);
        });
        Schema::create('web_answers', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            // A hash of what was asked: address and headers.
            $table->string('asked', 64)->collation('ascii_bin');
            $table->smallInteger('status');
            $table->json('headers');
            $table->mediumText('body');
            $table->dateTime('at', 3);
            $table->dateTime('fresh_until', 3);
            $table->dateTime('kept_until', 3)->index();
            $table->unique(['channel_id', 'asked']);
        });
        Schema::create('recorded_answers', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->string('lookup', 60)->collation('utf8mb4_bin');
            // A hash of what the parameters were.
            $table->string('arguments', 64)->collation('ascii_bin');
            // As canned results have it.
            $table->mediumText('document');
            // What was taken out of it, and a hash of the look-up that said where.
            $table->json('readings')->nullable();
            $table->string('read_by', 64)->collation('ascii_bin')->default('');
            $table->unique(['channel_id', 'lookup', 'arguments']);
        });
        Schema::create('web_hosts', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->string('host', 260)->collation('utf8mb4_bin');
            // How often it was asked since when, and how often it failed in a row.
            $table->dateTime('counted_from', 3);
            $table->unsignedInteger('times')->default(0);
            $table->unsignedInteger('failures')->default(0);
            $table->dateTime('rests_until', 3)->nullable();
            $table->unsignedBigInteger('asked')->default(0);
            $table->unsignedBigInteger('from_kept')->default(0);
            $table->json('last')->nullable();
            $table->unique(['channel_id', 'host']);
        });
    }
};
