<?php

declare(strict_types=1);

namespace App\Air;

use SilverParrot\Chat\ChatLine;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\PeopleLines;
use SilverParrot\Memory\View;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Moment;

/** Who was seen and is not written yet, laid over what memory holds: a line finds whoever wrote just before it. */
final readonly class UnwrittenTallies implements View
{
    /**
     * @param  array<string, ChatLine>  $seen  the last line of each, by person id
     * @param  array<string, Moment>  $first  when the first of them was
     * @param  array<string, int>  $lines  how many there are
     * @param  int  $peopleLines  those that timers wait for
     * @param  View|null  $beneath  null until it is laid over one
     */
    public function __construct(
        private array $seen,
        private array $first,
        private array $lines,
        private int $peopleLines,
        private Moment $now,
        private ?View $beneath = null,
    ) {
    }

    public function over(View $beneath): View
    {
        return $this->seen === []
            ? $beneath
            : new self($this->seen, $this->first, $this->lines, $this->peopleLines, $this->now, $beneath);
    }

    public function knows(Key $key): bool
    {
        return $this->beneath?->knows($key) ?? false;
    }

    public function value(Key $key): null|bool|int|string|array
    {
        $kept = $this->beneath?->value($key);
        if ($key->kind === Kind::PeopleLines && $this->peopleLines > 0 && $this->beneath !== null) {
            return PeopleLines::more($this->beneath, $this->peopleLines, $this->now)->to;
        }
        $line = match ($key->kind) {
            Kind::Person => $this->named($key->name),
            Kind::Seen => $this->seen[$key->owner->of] ?? null,
            default => null,
        };

        return $line === null
            ? $kept
            : self::record($line, $kept, $this->first[$line->by->id] ?? $line->at, $this->lines[$line->by->id] ?? 0);
    }

    /**
     * With what was kept of them before.
     *
     * @param  null|bool|int|string|array<string, mixed>  $kept
     * @param  int  $lines  more
     * @return array<string, mixed>
     */
    public static function record(
        ChatLine $line,
        null|bool|int|string|array $kept,
        Moment $first,
        int $lines,
    ): array {
        $before = is_array($kept) && is_int($kept['lines'] ?? null) ? $kept['lines'] : 0;

        return [
            ...$line->by->record(),
            'first_seen' => is_array($kept) && is_string($kept['first_seen'] ?? null)
                ? $kept['first_seen']
                : $first->iso(),
            'last_seen' => $line->at->iso(),
            'lines' => $before + $lines,
        ];
    }

    private function named(string $login): ?ChatLine
    {
        foreach ($this->seen as $line) {
            if (Fold::caseless($line->by->login) === $login) {
                return $line;
            }
        }

        return null;
    }
}
