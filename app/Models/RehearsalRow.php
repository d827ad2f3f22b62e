<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\MassPrunable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use SilverParrot\Rehearsal\RehearsalKind;
use SilverParrot\Rehearsal\RehearsalState;

/**
 * @property int $id
 * @property int $channel_id
 * @property int|null $user_id
 * @property RehearsalKind $kind
 * @property string $title
 * @property array<string, mixed> $options
 * @property RehearsalState $state
 * @property int $done  lines, scripts or evenings
 * @property int $total
 * @property array<string, mixed>|null $result
 * @property string|null $pack  the pack document that it was heard with
 * @property array<string, null|bool|int|string|array<string, mixed>>|null $found  what it found in the real memory
 * @property list<array{float, float, float, float}>|null $sketch  what EveningSketch makes of it while it is heard
 * @property string|null $trouble
 * @property Carbon $created_at
 * @property Carbon|null $ended_at
 */
final class RehearsalRow extends Model
{
    use MassPrunable;

    /** Results are kept so long. */
    public const DAYS = 7;

    protected $table = 'rehearsals';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'options' => 'array',
        'result' => 'array',
        'found' => 'array',
        'sketch' => 'array',
        'kind' => RehearsalKind::class,
        'state' => RehearsalState::class,
        'created_at' => 'datetime',
        'ended_at' => 'datetime',
    ];

    /** Whether there is a picture of it, and a report. */
    public function isDrawn(): bool
    {
        return $this->result !== null && $this->kind !== RehearsalKind::Night && ! $this->state->isOpen();
    }

    /** @return Builder<static> */
    public function prunable(): Builder
    {
        return self::query()->where('created_at', '<', now()->subDays(self::DAYS));
    }
}
