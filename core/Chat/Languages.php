<?php

declare(strict_types=1);

namespace SilverParrot\Chat;

/** The languages that can be spoken here: those that ICU has words, plurals and forms for (CLDR). */
final class Languages
{
    /** @param  string  $tag  BCP 47, like "en", "pt-BR"; a region that is not known speaks its language all the same */
    public static function isKnown(string $tag): bool
    {
        return preg_match('/^[A-Za-z]{2,3}(?:[-_][A-Za-z0-9]{2,8}){0,3}$/D', $tag) === 1
            && in_array((string) \Locale::getPrimaryLanguage($tag), self::locales(), true);
    }

    /** @return array<string, string> tag => its name in English, by name */
    public static function all(): array
    {
        $all = [];
        foreach (self::locales() as $locale) {
            $all[strtr($locale, '_', '-')] = (string) \Locale::getDisplayName($locale, 'en');
        }
        asort($all);

        return $all;
    }

    /** @return list<string> */
    private static function locales(): array
    {
        /** @var list<string>|false $locales */
        $locales = \ResourceBundle::getLocales('');

        // "en-US-POSIX" is for programs, and no language of people's.
        return array_values(
            array_filter(
                $locales === false ? ['en'] : $locales,
                static fn (string $locale): bool => ! str_ends_with($locale, '_POSIX'),
            ),
        );
    }
}
