<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

use SilverParrot\Value\Moment;

/** What a source has answered. */
final readonly class Answer
{
    /** Bytes of a body that is read. */
    public const LARGEST = 1_048_576;

    /**
     * @param  array<string, string>  $headers  by name in lower case; those that came several times joined by commas
     * @param  Moment  $at  when it came
     */
    public function __construct(
        public int $status,
        public array $headers,
        public string $body,
        public Moment $at,
    ) {
    }

    public function contentType(): string
    {
        return $this->headers['content-type'] ?? '';
    }
}
