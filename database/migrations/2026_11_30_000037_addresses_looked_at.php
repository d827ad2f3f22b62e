<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Whether addresses in responses still lead somewhere. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('channels', static function (Blueprint $table): void {
            // Hosts that are not allowed for look-ups are looked at too.
            $table->boolean('looks_at_addresses')->default(false);
        });
        Schema::create('addresses_looked_at', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            $table->string('hash', 32)->collation('ascii_bin');
            $table->text('address');
            $table->string('state', 20)->collation('ascii_bin');
            $table->text('moved_to');
            $table->dateTime('at', 3);
            $table->unique(['channel_id', 'hash']);
        });
    }
};
