<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

/** For how long a source says that its answer is good (RFC 9111, 4.2), for a cache of one channel alone. */
final class Freshness
{
    /** Seconds; what says more is cut (RFC 9111, 1.2.2). */
    private const MOST = 2_147_483_648;

    /**
     * @return int|null seconds from when it came; 0 where it must be asked again at once, null where it says nothing
     */
    public static function seconds(Answer $answer): ?int
    {
        $directives = self::directives($answer->headers['cache-control'] ?? '');
        if (isset($directives['no-store']) || isset($directives['no-cache'])) {
            return 0;
        }
        $said = self::delta($directives['max-age'] ?? null) ?? self::untilExpires($answer);

        return $said === null ? null : max(0, $said - self::age($answer));
    }

    /** Seconds that it was under way, or lay in caches before this one. */
    private static function age(Answer $answer): int
    {
        $date = HttpDate::read($answer->headers['date'] ?? '');
        $apparent = $date === null ? 0 : max(0, intdiv($answer->at->millis - $date->millis, 1_000));

        return max($apparent, self::delta($answer->headers['age'] ?? null) ?? 0);
    }

    private static function untilExpires(Answer $answer): ?int
    {
        if (! isset($answer->headers['expires'])) {
            return null;
        }
        $expires = HttpDate::read($answer->headers['expires']);
        $date = HttpDate::read($answer->headers['date'] ?? '') ?? $answer->at;

        // What is no date has expired already (RFC 9111, 5.3).
        return $expires === null ? 0 : max(0, intdiv($expires->millis - $date->millis, 1_000));
    }

    /** @return array<string, string> by name in lower case; the first of those that are said twice */
    private static function directives(string $header): array
    {
        preg_match_all('/([!#$%&\'*+.^_`|~0-9a-z-]+)(?:\s*=\s*(?:"([^"]*)"|([^\s,"]*)))?/i', $header, $found);
        $directives = [];
        foreach ($found[1] as $place => $name) {
            $directives[strtolower($name)] ??= $found[2][$place].$found[3][$place];
        }

        return $directives;
    }

    private static function delta(?string $text): ?int
    {
        return $text !== null && preg_match('/^\s*(\d{1,18})\s*$/D', $text, $part) === 1
            ? min(self::MOST, (int) $part[1])
            : null;
    }
}
