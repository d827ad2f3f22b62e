<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Steps;

use SilverParrot\Chat\Saying;
use SilverParrot\Hearing\Effect;

/** What came of a step besides what it changed. */
final readonly class Ran
{
    /**
     * @param  list<Saying>  $sayings
     * @param  list<Effect>  $effects
     * @param  int|null  $pause  milliseconds after which the steps behind it go on; null: at once
     */
    public function __construct(public array $sayings = [], public array $effects = [], public ?int $pause = null)
    {
    }
}
