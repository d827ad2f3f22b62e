<?php

declare(strict_types=1);

namespace Tests;

/** The demo channel, as far as tests count on it: it grows with what there is to be shown. */
final class Demo
{
    /** How many commands it has. */
    public static function commands(): int
    {
        $pack = json_decode(
            (string) file_get_contents(dirname(__DIR__).'/docs/examples/lantern-cove.pack.json'),
            true,
        );

        return is_array($pack) && is_array($pack['commands'] ?? null) ? count($pack['commands']) : 0;
    }
}
