<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Replay\Forms;

use SilverParrot\Rehearsal\Replay\LogForm;
use SilverParrot\Rehearsal\Replay\LoggedLine;
use SilverParrot\Rehearsal\Replay\LogTime;

/** {"time": "2026-11-25T18:02:03Z", "name": "odo", "text": "…"}, one object a line; keys of the usual names. */
final class JsonLinesForm implements LogForm
{
    private const DEEP = 6;

    private const TIMES = ['time', 'at', 'timestamp', 'ts', 'date', 'sent_at', 'created_at'];

    private const NAMES = ['name', 'by', 'user', 'login', 'nick', 'author', 'sender', 'from', 'username'];

    private const TEXTS = ['text', 'message', 'body', 'msg', 'content', 'line'];

    public static function key(): string
    {
        return 'json';
    }

    public static function label(): string
    {
        return 'JSON, one object a line';
    }

    public function line(string $text): ?LoggedLine
    {
        $read = str_starts_with(ltrim($text), '{') ? json_decode($text, true, self::DEEP) : null;
        if (! is_array($read)) {
            return null;
        }
        $at = LogTime::of(self::first($read, self::TIMES));
        [$name, $said] = [self::first($read, self::NAMES), self::first($read, self::TEXTS)];

        return $at === null || $name === '' ? null : LoggedLine::said($at, $name, $said);
    }

    /**
     * @param  array<array-key, mixed>  $of
     * @param  list<string>  $keys
     */
    private static function first(array $of, array $keys): string
    {
        foreach ($keys as $key) {
            $value = $of[$key] ?? null;
            // Who wrote may be an object of its own.
            $value = is_array($value) ? self::first($value, self::NAMES) : $value;
            if ((is_string($value) || is_int($value) || is_float($value)) && $value !== '') {
                return (string) $value;
            }
        }

        return '';
    }
}
