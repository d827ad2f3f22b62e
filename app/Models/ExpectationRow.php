<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\AsExpectation;
use Illuminate\Database\Eloquent\Model;
use SilverParrot\Pack\Expectation;

/**
 * @property int $id
 * @property Expectation $document
 */
final class ExpectationRow extends Model
{
    protected $table = 'expectations';

    protected $guarded = [];

    protected $casts = ['document' => AsExpectation::class];
}
