<?php

declare(strict_types=1);

namespace SilverParrot\Chat;

/** The channel's name and habits: what does not change while a stream runs. */
final readonly class Channel
{
    /**
     * @param  string  $language  BCP 47 tag, like "en" or "pl"
     * @param  string  $decimalSign  of the language, found once: asking for it costs more than saying a number
     */
    private function __construct(
        public string $login,
        public string $name,
        public string $language,
        public \DateTimeZone $zone,
        public string $decimalSign,
    ) {
    }

    public static function of(string $login, string $name, string $language = 'en', string $zone = 'UTC'): self
    {
        $sign = (string) (new \NumberFormatter($language, \NumberFormatter::DECIMAL))->getSymbol(
            \NumberFormatter::DECIMAL_SEPARATOR_SYMBOL,
        );

        return new self($login, $name, $language, new \DateTimeZone($zone), $sign);
    }
}
