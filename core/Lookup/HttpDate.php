<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

use DateTimeImmutable;
use DateTimeZone;
use SilverParrot\Value\Moment;

/** A moment as headers have it, in one of the three forms of RFC 9110, 5.6.7. */
final class HttpDate
{
    public static function read(string $text): ?Moment
    {
        foreach (['!D, d M Y H:i:s \G\M\T', '!l, d-M-y H:i:s \G\M\T', '!D M j H:i:s Y'] as $format) {
            $date = DateTimeImmutable::createFromFormat(
                $format,
                trim(mb_substr($text, 0, 60)),
                new DateTimeZone('UTC'),
            );
            if ($date !== false) {
                return Moment::of($date);
            }
        }

        return null;
    }

    /** @return int seconds that a source wants to be left alone (RFC 9110, 10.2.3); 0 where it says nothing */
    public static function secondsUntilRetry(Answer $answer): int
    {
        $said = $answer->headers['retry-after'] ?? '';
        if (preg_match('/^\s*(\d{1,9})\s*$/D', $said, $part) === 1) {
            return (int) $part[1];
        }
        $at = self::read($said);

        return $at === null ? 0 : max(0, (int) ceil(($at->millis - $answer->at->millis) / 1_000));
    }
}
