<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Addresses under which a number or a text of the channel can be read by whoever knows them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('live_addresses', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->string('token', 64)->unique();
            $table->string('shows', 2_000);
            $table->json('look');
            $table->timestamps();
        });
    }
};
