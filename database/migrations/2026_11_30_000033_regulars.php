<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Regulars: who is one, since when, why and until when; and how viewers become one. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('regulars', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('viewer_id')->default(0);
            $table->json('state');
            $table->unique(['channel_id', 'viewer_id']);
        });
        Schema::table('viewers', static function (Blueprint $table): void {
            // On how many days they wrote something.
            $table->unsignedInteger('days')->default(0)->after('lines');
        });
        DB::statement('UPDATE viewers SET days = 1 WHERE last_seen IS NOT NULL');
        Schema::table('channels', static function (Blueprint $table): void {
            // As the pack document has it.
            $table->json('regulars')->default('{}')->after('from_chat');
        });
    }
};
