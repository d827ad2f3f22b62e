<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Changes that were made together can be taken back together. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('changes', function (Blueprint $table): void {
            $table->string('batch', 26)->default('');
            $table->index(['channel_id', 'batch']);
        });
    }
};
