<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Which command said something is kept with what was said. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('outgoing', function (Blueprint $table): void {
            $table->string('command', 60)->default('')->after('to_login');
            $table->index(['channel_id', 'command', 'handed_at']);
        });
    }
};
