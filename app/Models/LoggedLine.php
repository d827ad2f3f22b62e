<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/** What was heard, said and refused, for as long as its channel keeps it. */
final class LoggedLine extends Model
{
    use ForgottenByDays;

    public $timestamps = false;

    protected $table = 'heard_lines';

    protected $guarded = [];

    /** @return Builder<self> */
    public function prunable(): Builder
    {
        return $this->olderThanKept('at');
    }
}
