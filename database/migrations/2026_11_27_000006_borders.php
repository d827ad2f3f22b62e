<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a channel's screen tells of lines that were not heard, and which sessions may read along. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('channels', function (Blueprint $table): void {
            $table->json('air_troubles')->nullable();
        });
        Schema::create('stream_grants', function (Blueprint $table): void {
            $table->char('id', 40)->primary();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->dateTime('expires_at')->index();
        });
    }
};
