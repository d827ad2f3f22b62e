<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One change of a definition, which can be undone.
 *
 * @property int $id
 * @property int $channel_id
 * @property int $command_id
 * @property string $kind "made", "saved", "dropped"
 * @property array<string, mixed>|null $before
 * @property array<string, mixed>|null $after
 */
final class CommandChange extends Model
{
    use OfAChannel;

    protected $table = 'changes';

    protected $guarded = [];

    protected $casts = ['before' => 'array', 'after' => 'array', 'undone_at' => 'datetime'];
}
