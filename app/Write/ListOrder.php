<?php

declare(strict_types=1);

namespace App\Write;

/** In which order the list of commands stands. */
enum ListOrder: string
{
    /** By group, and in each by trigger. */
    case Group = 'group';

    /** By trigger, without groups. */
    case Name = 'name';

    /** What was used last stands first. */
    case LastUsed = 'used';

    /** What was used most this week stands first. */
    case MostUsed = 'often';

    /** What was changed last stands first. */
    case LastChanged = 'changed';

    public function label(): string
    {
        return match ($this) {
            self::Group => 'by group',
            self::Name => 'by trigger',
            self::LastUsed => 'used last first',
            self::MostUsed => 'used most first',
            self::LastChanged => 'changed last first',
        };
    }
}
