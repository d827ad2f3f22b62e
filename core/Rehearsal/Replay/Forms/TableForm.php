<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Replay\Forms;

use SilverParrot\Rehearsal\Replay\LogForm;
use SilverParrot\Rehearsal\Replay\LoggedLine;
use SilverParrot\Rehearsal\Replay\LogTime;

/** CSV, or a table with tabs or semicolons, whose columns somebody chose. */
final class TableForm implements LogForm
{
    private const SEPARATORS = ["\t", ';', ','];

    /**
     * @param  int  $time  column, from 0 on; likewise the others
     * @param  string  $separator  empty to take the one that a line has most of
     */
    public function __construct(
        private readonly int $time = 0,
        private readonly int $name = 1,
        private readonly int $text = 2,
        private readonly string $separator = '',
    ) {
    }

    public static function key(): string
    {
        return 'table';
    }

    public static function label(): string
    {
        return 'a table (CSV): columns chosen below';
    }

    public function line(string $text): ?LoggedLine
    {
        $columns = self::columns($text, $this->separator);
        $at = LogTime::of($columns[$this->time] ?? '');
        $name = trim($columns[$this->name] ?? '');

        // Signs in place of a name are what other forms have for what is no chat.
        $isName = preg_match('/[\p{L}\p{N}_]/u', $name) === 1;

        return $at === null || ! $isName || ! isset($columns[$this->text])
            ? null
            : LoggedLine::said($at, $name, $columns[$this->text]);
    }

    /** @return list<string> */
    public static function columns(string $text, string $separator = ''): array
    {
        if ($separator === '') {
            $counts = array_map(static fn (string $one): int => substr_count($text, $one), self::SEPARATORS);
            $separator = self::SEPARATORS[(int) array_search(max($counts), $counts, true)];
        }

        return array_map(strval(...), str_getcsv($text, $separator, '"', ''));
    }
}
