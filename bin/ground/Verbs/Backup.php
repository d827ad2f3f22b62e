<?php

declare(strict_types=1);

namespace Ground\Verbs;

use Ground\Arguments;
use Ground\Artisan;
use Ground\Paths;
use Ground\Terminal;
use Ground\Verb;

/** Writes what lasts into one file, while everything goes on. */
final readonly class Backup implements Verb
{
    public const SENTENCE = 'write everything, or one channel, into a file';

    public const OPTIONS = [
        '--to=' => 'the file (parrot-DATE.backup here)',
        '--channel=' => 'one channel, by its login',
    ];

    public function __construct(private Paths $paths, private Terminal $terminal)
    {
    }

    public function run(Arguments $arguments): int
    {
        $channel = $arguments->text('--channel');
        $file = $arguments->text('--to') ?? ($channel === null ? 'parrot-' : "$channel-").gmdate('Y-m-d-His').'.backup';

        return Artisan::run($this->paths, $this->terminal, [
            'parrot:backup',
            Artisan::absolute($file),
            ...$channel === null ? [] : ["--channel=$channel"],
        ]);
    }
}
