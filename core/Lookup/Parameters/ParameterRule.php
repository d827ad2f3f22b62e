<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Parameters;

/** What a parameter may be. A new one is one class, and one line in ParameterRules. */
interface ParameterRule
{
    /** Its word in documents: "one_of". */
    public static function key(): string;

    /** @return string|null as it goes into the address; null where it may not */
    public function admitted(string $typed): ?string;

    /** @return bool|array<array-key, mixed>|null as documents have it; null where it goes without saying */
    public function write(): bool|array|null;
}
