<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What was silenced when a line was heard is kept with the line. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('heard_lines', function (Blueprint $table): void {
            $table->string('silence', 10)->default('')->after('outcome');
        });
    }
};
