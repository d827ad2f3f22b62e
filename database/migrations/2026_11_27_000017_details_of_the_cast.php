<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What the streaming service would tell of somebody in the cast. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('cast_members', function (Blueprint $table): void {
            $table->json('details')->default('{}');
        });
    }
};
