<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Paths;

/** Parts of a plain text: all of it, one of its lines, or what stands between two texts. */
final readonly class TextPaths implements Paths
{
    /** In the texts of a path, whose end is a quotation mark; the end of a line is written out. */
    private const ESCAPES = ['\\\\' => '\\', '\\"' => '"', '\\n' => "\n"];

    private string $text;

    public function __construct(string $body)
    {
        $this->text = (string) preg_replace(['/^\x{FEFF}/u', '/\r\n?/'], ['', "\n"], mb_scrub($body));
    }

    public function at(string $path): array
    {
        $path = trim($path);
        if ($path === '' || $path === 'whole') {
            return self::found($this->text);
        }
        if (preg_match('/^line (\d{1,6}|last)$/D', $path, $part) === 1) {
            $lines = preg_split('/\R/u', rtrim($this->text)) ?: [];
            $line = $part[1] === 'last' ? end($lines) : $lines[(int) $part[1] - 1] ?? '';

            return self::found((string) $line);
        }
        if (preg_match('/^between "((?:[^"\\\\]|\\\\.)*)" and "((?:[^"\\\\]|\\\\.)*)"$/suD', $path, $part) === 1) {
            return $this->between(strtr($part[1], self::ESCAPES), strtr($part[2], self::ESCAPES));
        }
        throw new BadPath('it is none of “whole”, “line 3” and “between "a" and "b"”');
    }

    /** @return list<Found> an empty text stands for the beginning, or for the end */
    private function between(string $before, string $behind): array
    {
        $all = [];
        for ($at = 0; count($all) < self::MOST; $at = $to + strlen($behind)) {
            // An empty text stands once, at the beginning.
            $from = $before !== '' || $at > 0 ? self::place($this->text, $before, $at) : 0;
            if ($from === null) {
                break;
            }
            $from += strlen($before);
            $to = $behind === '' ? strlen($this->text) : self::place($this->text, $behind, $from);
            if ($to === null) {
                break;
            }
            $all = [...$all, ...self::found(mb_strcut($this->text, $from, $to - $from))];
            if ($behind === '') {
                break;
            }
        }

        return $all;
    }

    /** @return int|null in bytes; null where it stands nowhere from there on */
    private static function place(string $text, string $part, int $from): ?int
    {
        $at = $part === '' ? false : strpos($text, $part, $from);

        return $at === false ? null : $at;
    }

    /** @return list<Found> */
    private static function found(string $text): array
    {
        return trim($text) === '' ? [] : [Found::text(trim($text))];
    }
}
