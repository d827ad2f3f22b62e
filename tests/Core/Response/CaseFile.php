<?php

declare(strict_types=1);

namespace Tests\Core\Response;

/** Reads a .test file: blocks of “key: value” lines; a line with “# ” names what follows. */
final class CaseFile
{
    /** @return iterable<string, array<string, string>> */
    public static function read(string $file): iterable
    {
        $about = '';
        foreach (preg_split('/\n{2,}/', trim((string) file_get_contents($file))) ?: [] as $block) {
            $case = [];
            foreach (explode("\n", $block) as $line) {
                if (str_starts_with($line, '# ')) {
                    $about = substr($line, 2);
                } elseif (preg_match('/^([a-z ]+):(?: (.*))?$/', $line, $part) === 1) {
                    $case[$part[1]] =
                        ($case[$part[1]] ?? null) === null ? $part[2] ?? '' : $case[$part[1]]."\n".($part[2] ?? '');
                } else {
                    throw new \LogicException("$file: not a case line: $line");
                }
            }
            if (isset($case['source'])) {
                yield basename($file, '.test')
                    .": $about: {$case['source']}"
                    .(isset($case['words']) ? " ({$case['words']})" : '') => $case;
            }
        }
    }
}
