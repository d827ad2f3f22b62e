<?php

declare(strict_types=1);

namespace Ground\Verbs;

use Ground\Arguments;
use Ground\Artisan;
use Ground\Paths;
use Ground\Terminal;
use Ground\Trouble;
use Ground\Verb;

/** Puts a backup back. Nothing needs to be stopped for it: what is put back is paused. */
final readonly class Restore implements Verb
{
    public const SENTENCE = 'put a backup back: everything, or one channel beside the others';

    public const OPTIONS = [
        '--from=' => 'the file',
        '--channel=' => 'only this channel, by its login',
        '--yes' => 'replace what is there without asking',
    ];

    public function __construct(private Paths $paths, private Terminal $terminal)
    {
    }

    public function run(Arguments $arguments): int
    {
        $file = $arguments->text('--from') ?? throw Trouble::missingOption('--from=', 'the backup');
        $channel = $arguments->text('--channel');
        $what = $channel === null ? 'Everything that is there now' : "All that is there now of the channel {$channel}";
        if (
            ! $arguments->has('--yes')
            && ! ($this->terminal->asksPeople() && $this->terminal->agrees("{$what} will be replaced. Go on?"))
        ) {
            throw Trouble::notAgreed($what);
        }

        return Artisan::run($this->paths, $this->terminal, [
            'parrot:restore',
            Artisan::absolute($file),
            ...$channel === null ? [] : ["--channel=$channel"],
        ]);
    }
}
