<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $stable_id
 * @property list<array<string, mixed>> $steps as the pack document has them
 * @property int $weight
 */
final class CommandResponseRow extends Model
{
    protected $table = 'command_responses';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['steps' => 'array'];
}
