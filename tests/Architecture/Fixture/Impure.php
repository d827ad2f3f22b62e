<?php

declare(strict_types=1);

namespace SilverParrot\Fixture;

use Illuminate\Support\Str;

/** Everything that the core must not do. Only PureCoreTest and the analysis of this folder read it. */
final class Impure
{
    private static int $calls = 0;

    public function everything(): string
    {
        static $kept;
        $now = new \DateTimeImmutable;
        $tomorrow = new \DateTimeImmutable('tomorrow');
        $format = new \NumberFormatter(null, 1);
        echo time().rand();

        return Str::slug((string) getenv('HOME').$_SERVER['argv'][0]);
    }
}
