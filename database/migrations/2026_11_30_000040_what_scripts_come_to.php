<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What each script comes to when it runs. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('scripts', static function (Blueprint $table): void {
            $table->mediumText('reached')->nullable();
        });
        // Those that ran before run once more.
        DB::table('scripts')->update(['ran_against' => null]);
    }

    public function down(): void
    {
        Schema::table('scripts', static function (Blueprint $table): void {
            $table->dropColumn('reached');
        });
    }
};
