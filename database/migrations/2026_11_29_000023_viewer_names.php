<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Every name that a viewer ever had, to be found by; and who is not to be remembered any more. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('viewer_names', static function (Blueprint $table): void {
            $table->foreignId('channel_id')->constrained()->cascadeOnDelete();
            // Folded.
            $table->string('name', 190);
            $table->unsignedBigInteger('viewer_id');
            $table->primary(['channel_id', 'name', 'viewer_id']);
            $table->index(['channel_id', 'viewer_id']);
        });
        DB::statement(
            "INSERT IGNORE INTO viewer_names (channel_id, name, viewer_id)
             SELECT channel_id, login, id FROM viewers WHERE name <> ''
             UNION SELECT v.channel_id, j.name, v.id FROM viewers v
                JOIN JSON_TABLE(v.logins_before, '$[*]' COLUMNS (name VARCHAR(190) PATH '$')) j
             UNION SELECT channel_id, LOWER(name), id FROM viewers WHERE name <> ''",
        );
        // Outside of backups, so that an older one that is put back brings nobody back.
        Schema::create('erased_people', static function (Blueprint $table): void {
            $table->id();
            $table->string('channel', 190);
            // SHA-256 of the service and the id there.
            $table->string('person_hash', 64);
            $table->dateTime('erased_at');
            $table->unique(['channel', 'person_hash']);
        });
    }
};
