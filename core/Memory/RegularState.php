<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

use SilverParrot\Chat\Person;
use SilverParrot\Value\Moment;

/** Whether somebody is a regular: since when, why, and until when. Kept is {since, why, until}. */
final readonly class RegularState
{
    public const BY_HAND = 'hand';

    /** Who is none, whatever they come to. */
    public const NEVER = 'never';

    public const WHYS = [self::BY_HAND, 'lines', 'days', 'hours', self::NEVER];

    private function __construct(public Moment $since, public string $why, public ?Moment $until)
    {
    }

    /** @param  null|bool|int|string|array<string, mixed>  $kept */
    public static function read(null|bool|int|string|array $kept): ?self
    {
        $text = static fn (string $part): string => is_array($kept) && is_string($kept[$part] ?? null)
            ? $kept[$part]
            : '';
        $since = Moment::fromIso($text('since'));

        return $since === null ? null : new self($since, $text('why'), Moment::fromIso($text('until')));
    }

    /** As a database keeps it. */
    public static function fromJson(string $json): ?self
    {
        /** @var null|bool|int|string|array<string, mixed> $kept */
        $kept = json_decode($json, true);

        return self::read($kept);
    }

    public static function inWords(string $why): string
    {
        return match ($why) {
            self::BY_HAND => 'by hand',
            self::NEVER => 'never',
            default => "by $why",
        };
    }

    public function holdsAt(Moment $now): bool
    {
        return $this->why !== self::NEVER && ($this->until === null || $this->until->millis > $now->millis);
    }

    /** @param  string  $why  “hand”, “lines”, “days”, “hours”, or “never” */
    public static function change(Person $of, string $why, Moment $now, ?Moment $until, View $memory): Change
    {
        $key = Key::regular($of->id);

        return new Change(
            $key,
            $memory->value($key),
            ['since' => $now->iso(), 'why' => $why] + ($until === null ? [] : ['until' => $until->iso()]),
            'regular',
            $of->login,
        );
    }
}
