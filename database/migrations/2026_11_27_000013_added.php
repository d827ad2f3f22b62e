<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What was added can be taken out again after more was added; what was set cannot. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('memory_history', function (Blueprint $table): void {
            // Null for what was set or cleared.
            $table->bigInteger('added')->nullable()->after('after');
            $table->boolean('undone')->default(false)->after('added');
        });
    }
};
