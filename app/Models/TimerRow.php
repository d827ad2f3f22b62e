<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use SilverParrot\Document\Document;
use SilverParrot\Format\TimerFormat;
use SilverParrot\Pack\Timer;
use SilverParrot\Source\Fold;

/**
 * @property int $id
 * @property string $stable_id
 * @property string $name
 * @property array<string, mixed> $document as the pack document has it
 */
final class TimerRow extends Model
{
    protected $table = 'timers';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['document' => 'array'];

    public function timer(): Timer
    {
        return TimerFormat::read(Document::of($this->document));
    }

    /** @return array<string, mixed> by column */
    public static function columns(Timer $timer): array
    {
        return [
            'stable_id' => $timer->id,
            'name' => $timer->name,
            'name_folded' => Fold::caseless($timer->name),
            'document' => ['id' => $timer->id] + TimerFormat::write($timer),
        ];
    }
}
