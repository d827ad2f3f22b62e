<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Words that set a command off wherever they stand in a line. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('commands', static function (Blueprint $table): void {
            // As a pack document has them.
            $table->json('phrases')->default('[]');
        });
    }
};
