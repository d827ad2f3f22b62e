<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use SilverParrot\Document\Document;
use SilverParrot\Format\LookupFormat;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\Trouble;
use SilverParrot\Source\Fold;

/**
 * @property int $id
 * @property string $stable_id
 * @property string $name
 * @property string $name_folded
 * @property array<string, mixed> $document as the pack document has it
 * @property Trouble|null $rehearsed_trouble in which the source is in rehearsals
 * @property int $rehearsed_slow seconds that it takes there
 */
final class LookupRow extends Model
{
    protected $table = 'lookups';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['document' => 'array', 'rehearsed_trouble' => Trouble::class];

    public function lookup(): Lookup
    {
        return LookupFormat::read(Document::of(['id' => $this->stable_id] + $this->document));
    }

    /** @return array<string, mixed> by column */
    public static function columns(Lookup $lookup): array
    {
        return [
            'stable_id' => $lookup->id,
            'name' => $lookup->name,
            'name_folded' => Fold::caseless($lookup->name),
            'document' => ['id' => $lookup->id] + LookupFormat::write($lookup),
        ];
    }
}
