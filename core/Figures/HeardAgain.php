<?php

declare(strict_types=1);

namespace SilverParrot\Figures;

use SilverParrot\Rehearsal\Heard;

/** A moment of an evening that was heard again: what came of it, and what it was heard with. */
final readonly class HeardAgain
{
    /**
     * @param  array<string, null|bool|int|string|array<string, mixed>>  $memory  what it found, by key id
     * @param  array<string, null|bool|int|string>  $readings  what it was told, by request id
     */
    public function __construct(
        public Heard $heard,
        public string $seed,
        public array $memory,
        public array $readings,
    ) {
    }
}
