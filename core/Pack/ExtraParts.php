<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/**
 * What may be added to an address that is kept as a fact, by names that its author gave: "chat" => "from=chat" stands
 * behind its question mark, "join" => "/join" behind its path, "map" => "#map" at its end. RFC 3986, 3.
 */
final class ExtraParts
{
    /** Of one fact. */
    public const MOST = 20;

    /** Characters of one. */
    public const LONGEST = 200;

    /** Signs that RFC 3986 allows behind the host. */
    public const PATTERN = '~^[A-Za-z0-9._\~!$&\'()*+,;=:@/?%#-]{1,200}$~D';

    /**
     * Lines as they are typed, "chat from=chat", one for each.
     *
     * @return array<string, string>|int by name, as typed; the number of the first line that is none, counted from 1
     */
    public static function typed(string $lines): array|int
    {
        $parts = [];
        foreach (preg_split('/\R/u', $lines) ?: [] as $number => $line) {
            $line = trim($line);
            [$name, $added] = [...preg_split('/\s+/u', $line, 2) ?: [], '', ''];
            $isOne = preg_match('/^[\p{L}_][\p{L}\p{M}\p{N}_]{0,59}$/Du', $name) === 1
                && preg_match(self::PATTERN, $added) === 1;
            if ($line !== '' && ! $isOne) {
                return $number + 1;
            }
            if ($line !== '') {
                $parts[$name] = $added;
            }
        }

        return $parts;
    }

    /** @param  array<string, string>  $parts */
    public static function lines(array $parts): string
    {
        return implode("\n", array_map(
            static fn (string $name, string $added): string => "$name $added",
            array_keys($parts),
            $parts,
        ));
    }

    /** @param  list<string>  $added  in the order in which they are named */
    public static function addTo(string $address, array $added): string
    {
        [$before, $fragment] = [...explode('#', $address, 2), ''];
        [$path, $query] = [...explode('?', $before, 2), ''];
        foreach ($added as $one) {
            match ($one[0] ?? '') {
                '' => null,
                '/' => $path = rtrim($path, '/').$one,
                '#' => $fragment = mb_substr($one, 1),
                default => $query = ltrim($query.'&'.ltrim($one, '?&'), '&'),
            };
        }

        return $path.($query === '' ? '' : "?$query").($fragment === '' ? '' : "#$fragment");
    }
}
