<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** What keeps a counter from counting the same thing twice. */
final readonly class Guard
{
    /** Seconds, at most: an hour. */
    public const LONGEST = 3_600;

    /**
     * @param  int  $seconds  within which the same change counts once; 0 for no guard
     * @param  bool  $onlyByAnother  whether only another person's is taken for the same, and one's own counts
     */
    public function __construct(public int $seconds = 0, public bool $onlyByAnother = false)
    {
    }

    public function stands(): bool
    {
        return $this->seconds > 0;
    }

    /**
     * @param  null|bool|int|string|array<string, mixed>  $kept  of the last change: {at, by, what}
     * @param  string  $by  a person's id; empty for nobody
     * @return int|null milliseconds for which the same still counts as that one; null where it counts
     */
    public function left(null|bool|int|string|array $kept, string $what, string $by, int $now): ?int
    {
        $kept = is_array($kept) ? $kept : [];
        if (! is_int($kept['at'] ?? null) || ($kept['what'] ?? null) !== $what) {
            return null;
        }
        $left = $kept['at'] + $this->seconds * 1_000 - $now;

        return $left <= 0 || ($this->onlyByAnother && ($kept['by'] ?? '') === $by) ? null : $left;
    }

    /** @return array{at: int, by: string, what: string} */
    public static function noted(string $what, string $by, int $now): array
    {
        return ['at' => $now, 'by' => $by, 'what' => $what];
    }
}
