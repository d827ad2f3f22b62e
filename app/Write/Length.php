<?php

declare(strict_types=1);

namespace App\Write;

use SilverParrot\Rehearsal\LongestAnswer;
use SilverParrot\Response\Analysis\LengthBounds;

/** How long a response gets beside what the chat takes, and what makes it so long. */
final readonly class Length
{
    /** Of the picture, in pixels. */
    public const WIDTH = 200;

    /** Circumstances that are named; more would not be read. */
    private const NAMED = 4;

    /**
     * @param  LengthBounds  $extent  with titles, categories and addresses as long as they are where such chats are
     * @param  LengthBounds  $utmost  with all of them as long as any can be
     * @param  int|null  $limit  characters that the chat takes; null where it counts bytes
     */
    public function __construct(
        private LengthBounds $extent,
        private LengthBounds $utmost,
        private ?LongestAnswer $longest,
        private ?int $limit,
    ) {
    }

    public function inWords(): string
    {
        $range =
            $this->extent->shortest === $this->extent->longest
                ? (string) $this->extent->longest
                : "{$this->extent->shortest} to {$this->extent->longest}";

        return $range
            .($this->limit === null ? '' : " of {$this->limit}")
            .' characters'
            .($this->isOver() ? ', and what is more is cut off' : '')
            .'.';
    }

    public function isOver(): bool
    {
        return $this->limit !== null && $this->extent->longest > $this->limit;
    }

    /** @return string what is worth knowing, and no reason to change anything; empty for nothing */
    public function note(): string
    {
        return ! $this->isOver() && $this->limit !== null && $this->utmost->longest > $this->limit
            ? 'Only with an unusually long title, category or link would its end be cut off.'
            : '';
    }

    /** @return string where it is longest; empty where it is always the same */
    public function where(): string
    {
        return $this->longest === null || $this->note() !== '' || $this->extent->shortest === $this->extent->longest
            ? ''
            : implode(', ', array_slice($this->longest->given, 0, self::NAMED));
    }

    /**
     * @return array{allowed: float, from: float, wide: float} pixels: what the chat takes, where the shortest ends, and
     *     how much can follow
     */
    public function picture(): array
    {
        $allowed = $this->limit ?? $this->extent->longest;
        $scale = self::WIDTH / max(1, $allowed, $this->extent->longest);

        return [
            'allowed' => round($allowed * $scale, 1),
            'from' => round($this->extent->shortest * $scale, 1),
            'wide' => max(2.0, round(($this->extent->longest - $this->extent->shortest) * $scale, 1)),
        ];
    }
}
