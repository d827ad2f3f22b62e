<?php

declare(strict_types=1);

namespace App\Remember\Moving;

use Generator;
use SilverParrot\Format\KeptMemoryFormat;

/** The lines of a file, one at a time, each bounded and UTF-8. */
final class FileLines
{
    /** @return Generator<int, string> of a line that is too long the beginning alone, which is no JSON any more */
    public static function of(string $file): Generator
    {
        $open = @fopen($file, 'rb');
        if ($open === false) {
            return;
        }
        try {
            while (($line = fgets($open, KeptMemoryFormat::LONGEST)) !== false) {
                yield mb_scrub(preg_replace('/^\xEF\xBB\xBF/', '', $line) ?? $line);
                for ($rest = $line; is_string($rest) && ! str_ends_with($rest, "\n") && ! feof($open);) {
                    $rest = fgets($open, KeptMemoryFormat::LONGEST);
                }
            }
        } finally {
            fclose($open);
        }
    }
}
