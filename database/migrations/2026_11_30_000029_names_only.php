<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A command may have no trigger; what it is called by is a name then. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('commands', static function (Blueprint $table): void {
            $table->boolean('name_only')->default(false)->after('trigger_folded');
        });
    }
};
