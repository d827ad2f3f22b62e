<?php

declare(strict_types=1);

namespace SilverParrot\Chat;

use SilverParrot\Source\Fold;
use SilverParrot\Value\Value;

/** A badge that a person holds. The order serves for printing one, for comparing, and for "at least". */
enum Level: int implements Value
{
    /** Nobody is without this one. */
    case Everyone = 0;

    /** Follows the channel. */
    case Follower = 1;

    /** A level of our own giving, by hand or earned. */
    case Regular = 2;

    /** Pays for the channel; the tier is kept beside. */
    case Subscriber = 3;

    /** Honoured by the streamer. */
    case Vip = 4;

    /** Keeps order in the chat. */
    case Moderator = 5;

    /** May change the channel. */
    case Editor = 6;

    /** Whose channel it is. Passes every level gate. */
    case Streamer = 7;

    public static function named(string $name): ?self
    {
        $folded = Fold::caseless(trim($name));
        foreach (self::cases() as $level) {
            if ($level->word() === $folded) {
                return $level;
            }
        }

        return null;
    }

    /** @return list<string> */
    public static function words(): array
    {
        return array_map(static fn (self $level): string => $level->word(), self::cases());
    }

    /**
     * @param  array<mixed>  $words
     * @return list<self> those that there are
     */
    public static function allNamed(array $words): array
    {
        return array_values(array_filter(array_map(self::named(...), array_filter($words, is_string(...)))));
    }

    public function word(): string
    {
        return strtolower($this->name);
    }

    public function label(): string
    {
        return $this === self::Vip ? 'VIP' : $this->word();
    }

    public function plural(): string
    {
        return match ($this) {
            self::Everyone => 'everyone',
            self::Vip => 'VIPs',
            self::Streamer => 'the streamer',
            default => $this->word().'s',
        };
    }
}
