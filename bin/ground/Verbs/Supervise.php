<?php

declare(strict_types=1);

namespace Ground\Verbs;

use Ground\Arguments;
use Ground\Logs;
use Ground\Paths;
use Ground\Servers\Artisan;
use Ground\Servers\Database;
use Ground\Servers\Harbour;
use Ground\Servers\Web;
use Ground\Settings;
use Ground\Supervisor;
use Ground\Terminal;
use Ground\Verb;

/** Started by `up`, in a session of its own. */
final readonly class Supervise implements Verb
{
    public const SENTENCE = 'watch the servers (started by up)';

    public const OPTIONS = ['--port=' => 'the port of the application'];

    public function __construct(private Paths $paths, Terminal $terminal)
    {
    }

    public function run(Arguments $arguments): int
    {
        (new Logs($this->paths))->close();
        $this->takeOutputAway();
        $settings = Settings::open($this->paths);

        return (new Supervisor($this->paths, [
            Database::of($this->paths, $settings),
            new Web($this->paths, $arguments->port('--port') ?? Up::PORT),
            new Harbour($this->paths, $settings),
            Artisan::air($this->paths),
            Artisan::queue($this->paths),
            Artisan::worker($this->paths, 1),
            Artisan::worker($this->paths, 2),
            Artisan::schedule($this->paths),
        ]))->watch();
    }

    /** The terminal that started `up` may go away; descriptors 0 to 2 must stay valid for the servers. */
    private function takeOutputAway(): void
    {
        fclose(STDIN);
        fclose(STDOUT);
        fclose(STDERR);
        $GLOBALS['input'] = fopen('/dev/null', 'r');
        $GLOBALS['output'] = fopen($this->paths->log('web.log'), 'a');
        $GLOBALS['errors'] = fopen($this->paths->log('web.log'), 'a');
    }
}
