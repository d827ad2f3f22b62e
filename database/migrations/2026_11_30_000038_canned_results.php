<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Recorded answers become canned results: kept under a name too, and chosen; sources are rehearsed in trouble. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('lookups', static function (Blueprint $table): void {
            // How the source is in rehearsals: in this trouble, or so many seconds slow.
            $table->string('rehearsed_trouble', 20)->collation('ascii_bin')->nullable();
            $table->unsignedSmallInteger('rehearsed_slow')->default(0);
        });
        Schema::table('recorded_answers', static function (Blueprint $table): void {
            // Empty for what the source has said.
            $table->string('name', 60)->collation('utf8mb4_bin')->default('');
            $table->boolean('chosen')->default(false);
            // Counted up for each look-up with all that is kept of it.
            $table->unsignedBigInteger('number')->default(0);
            // It stood in the document before.
            $table->mediumText('body')->default('');
        });
        foreach (DB::table('recorded_answers')->orderBy('id')->lazyById(50) as $row) {
            $this->change($row);
        }
        Schema::table('recorded_answers', static function (Blueprint $table): void {
            // The new one first: the channel's own key needs one that begins with it.
            $table->unique(['channel_id', 'lookup', 'arguments', 'name']);
            $table->dropUnique(['channel_id', 'lookup', 'arguments']);
        });
    }

    /** The body by itself, what it is for without regard to case; what was read of it before is read anew. */
    private function change(object $row): void
    {
        /** @var object{id: int, document: string} $row */
        $document = json_decode($row->document, true, flags: JSON_THROW_ON_ERROR);
        $document = is_array($document) ? $document : [];
        $for = [];
        foreach (is_array($document['args'] ?? null) ? $document['args'] : [] as $name => $value) {
            $for[mb_strtolower((string) $name)] = mb_strtolower(is_scalar($value) ? (string) $value : '');
        }
        ksort($for);
        $json = static fn (array $of): string => json_encode(
            (object) $of,
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE,
        );
        DB::table('recorded_answers')->where('id', $row->id)->update([
            'number' => $row->id,
            'arguments' => hash('sha256', $json($for)),
            'document' => $json(array_diff_key($document, ['body' => true])),
            'body' => is_string($document['body'] ?? null) ? $document['body'] : '',
            'read_by' => '',
        ]);
    }
};
