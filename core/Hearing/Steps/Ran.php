<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Steps;

use SilverParrot\Chat\Saying;
use SilverParrot\Hearing\Effect;
use SilverParrot\Source\Message;
use SilverParrot\Value\Value;

/** What came of a step besides what it changed. */
final readonly class Ran
{
    /**
     * @param  list<Saying>  $sayings
     * @param  Effect|null  $effect  the steps behind it go on once it is known what came of it
     * @param  int|null  $pause  milliseconds after which the steps behind it go on; null: at once
     * @param  array<string, null|bool|int|string|Message|Value>  $outcome  what the steps behind it may say of it
     */
    public function __construct(
        public array $sayings = [],
        public ?Effect $effect = null,
        public ?int $pause = null,
        public array $outcome = [],
    ) {
    }
}
