<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Replay;

/** What people wrote in a log, without commands and without who it was: words for a crowd. */
final class WordsOfLog
{
    /** Lines of the log that are looked at. */
    public const LINES = 20_000;

    /** Characters of one line. */
    private const LONGEST = 200;

    /**
     * @param  iterable<string>  $lines  of a log in any form
     * @param  int  $most  texts
     * @return list<string>|null the last of them; null for what is no chat log
     */
    public static function of(iterable $lines, int $most): ?array
    {
        $all = [];
        foreach ($lines as $line) {
            $all[] = rtrim($line, "\r\n");
            if (count($all) === self::LINES) {
                break;
            }
        }
        $form = LogForms::named(LogForms::recognise($all) ?? '');
        if ($form === null) {
            return null;
        }
        $words = [];
        foreach ($all as $line) {
            $one = $form->line($line);
            $text = $one?->isSaid === true ? LogReader::unmarked($one->text) : '';
            if (self::isTalk($text)) {
                $words[] = mb_substr($text, 0, self::LONGEST);
            }
        }

        return array_slice($words, -$most);
    }

    /** Whether it is no command, and nothing that only shows a sign. */
    public static function isTalk(string $text): bool
    {
        return preg_match('/^[\p{L}\p{N}]/u', $text) === 1;
    }
}
