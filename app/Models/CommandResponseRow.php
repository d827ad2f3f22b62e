<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\AsGates;
use App\Models\Casts\AsSteps;
use Illuminate\Database\Eloquent\Model;
use SilverParrot\Pack\Gates;
use SilverParrot\Pack\Step;

/**
 * @property string $stable_id
 * @property list<Step> $steps
 * @property int $weight
 * @property Gates $gates
 */
final class CommandResponseRow extends Model
{
    protected $table = 'command_responses';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['steps' => AsSteps::class, 'gates' => AsGates::class];
}
