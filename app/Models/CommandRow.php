<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\AsGates;
use Database\Factories\CommandRowFactory;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use SilverParrot\Chat\Place;
use SilverParrot\Chat\Voice;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Pack\Gates;

/**
 * @property int $id
 * @property int $channel_id
 * @property string $stable_id
 * @property string $trigger
 * @property bool $name_only
 * @property Gates $gates
 * @property DrawOrder $draw_order
 * @property list<string|array<string, mixed>> $phrases as a pack document has them
 * @property array<string, string> $refusals
 * @property string $if_it_fails
 * @property bool $listed
 * @property string $group
 * @property string $note
 * @property Voice $voice
 * @property Place $place
 * @property int $revision
 * @property Collection<int, CommandAlias> $aliases
 * @property Collection<int, CommandResponseRow> $responses
 * @property Collection<int, ExpectationRow> $expectations
 */
final class CommandRow extends Model
{
    /** @use HasFactory<CommandRowFactory> */
    use HasFactory;

    use OfAChannel;

    protected $table = 'commands';

    protected $guarded = [];

    protected $casts = [
        'name_only' => 'boolean',
        'gates' => AsGates::class,
        'draw_order' => DrawOrder::class,
        'phrases' => 'array',
        'refusals' => 'array',
        'listed' => 'boolean',
        'voice' => Voice::class,
        'place' => Place::class,
    ];

    /** @return HasMany<CommandAlias, $this> */
    public function aliases(): HasMany
    {
        return $this->hasMany(CommandAlias::class, 'command_id')->orderBy('position');
    }

    /** @return HasMany<CommandResponseRow, $this> */
    public function responses(): HasMany
    {
        return $this->hasMany(CommandResponseRow::class, 'command_id')->orderBy('position');
    }

    /** @return HasMany<ExpectationRow, $this> */
    public function expectations(): HasMany
    {
        return $this->hasMany(ExpectationRow::class, 'command_id')->orderBy('id');
    }
}
