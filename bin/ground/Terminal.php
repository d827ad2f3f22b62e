<?php

declare(strict_types=1);

namespace Ground;

/** What bin/parrot says to the person who started it. */
final class Terminal
{
    public function say(string $line): void
    {
        fwrite(STDOUT, $line."\n");
    }

    public function trouble(Trouble $trouble): void
    {
        fwrite(STDOUT, '');
        fwrite(STDERR, $trouble->getMessage()."\n".$trouble->wayOut."\n");
    }

    public function asksPeople(): bool
    {
        return stream_isatty(STDIN) && stream_isatty(STDOUT);
    }

    public function agrees(string $question): bool
    {
        fwrite(STDOUT, $question.' [Y/n] ');
        $answer = strtolower(trim((string) fgets(STDIN)));

        return in_array($answer, ['', 'y', 'yes'], true);
    }
}
