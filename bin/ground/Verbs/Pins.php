<?php

declare(strict_types=1);

namespace Ground\Verbs;

use Ground\Arguments;
use Ground\Packages\Composer;
use Ground\Packages\Pins as Written;
use Ground\Paths;
use Ground\Terminal;
use Ground\Verb;

/** The one way by which newer PHP packages come in. */
final readonly class Pins implements Verb
{
    public const SENTENCE = 'compare the Composer packages with composer.pins';

    public const OPTIONS = ['--renew' => 'install the newest that composer.json allows, and write composer.pins anew'];

    public function __construct(private Paths $paths, private Terminal $terminal)
    {
    }

    public function run(Arguments $arguments): int
    {
        $this->paths->make();
        $composer = new Composer($this->paths, $this->terminal);
        $file = $this->paths->project.'/composer.pins';
        if ($arguments->has('--renew')) {
            $composer->resolve([], withTools: true, exact: true);
            Written::write($file, $composer->installed());
            $this->terminal->say('composer.pins is written anew; run the tests before you keep it.');

            return 0;
        }
        $differences = Written::read($file)->differences($composer->installed(), withTools: false);
        foreach ($differences as $difference) {
            $this->terminal->say($difference);
        }
        $this->terminal->say(
            $differences === [] ? 'The packages are those of composer.pins.' : count($differences).' differ.',
        );

        return $differences === [] ? 0 : 1;
    }
}
