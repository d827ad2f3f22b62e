<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use SilverParrot\Pack\Script;

/**
 * @property int $id
 * @property int $channel_id
 * @property string $stable_id
 * @property string $title
 * @property string $text
 * @property bool|null $holds  how it ended last; null where it never ran, or was changed since
 * @property string|null $unmet  what did not hold first
 * @property string|null $ran_against  which state of the draft that was
 * @property list<string>|null $reached  what it came to, as Reach calls it
 */
final class ScriptRow extends Model
{
    protected $table = 'scripts';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['holds' => 'boolean', 'reached' => 'array'];

    public function script(): Script
    {
        return new Script($this->stable_id, $this->title, $this->text);
    }

    /** @return array<string, mixed> by column */
    public static function columns(Script $script): array
    {
        return [
            'stable_id' => $script->id,
            'title' => $script->title,
            'text' => $script->text,
            'holds' => null,
            'unmet' => null,
            'ran_against' => null,
            'reached' => null,
        ];
    }
}
