<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Source\Fold;

/** "on", "off", or the other of the two where nothing is typed. */
final class OnOrOff
{
    /** @return bool|null null for what is neither */
    public static function typed(string $typed, bool $was): ?bool
    {
        return match (Fold::caseless(trim($typed))) {
            '' => ! $was,
            'on', 'yes', '1' => true,
            'off', 'no', '0' => false,
            default => null,
        };
    }
}
