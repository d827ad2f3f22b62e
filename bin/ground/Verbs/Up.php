<?php

declare(strict_types=1);

namespace Ground\Verbs;

use Ground\Arguments;
use Ground\Disk;
use Ground\Instance;
use Ground\Lock;
use Ground\Logs;
use Ground\Packages\Composer;
use Ground\Packages\Debian;
use Ground\Paths;
use Ground\Port;
use Ground\Server;
use Ground\Servers\Database;
use Ground\Servers\Web;
use Ground\Settings;
use Ground\Shell;
use Ground\Terminal;
use Ground\Trouble;
use Ground\Verb;

/** From an empty machine, or from yesterday, to an address with a sign-in link. */
final readonly class Up implements Verb
{
    public const SENTENCE = 'install what is missing, start Silver Parrot, print its address and a one-time sign-in '
        .'link';

    public const OPTIONS = [
        '--port=' => 'the port on 127.0.0.1 for the application (8080)',
        '--yes' => 'install system packages without asking',
        '--exact' => 'refuse Composer packages that differ from composer.pins',
    ];

    public const PORT = 8080;

    public function __construct(private Paths $paths, private Terminal $terminal)
    {
    }

    public function run(Arguments $arguments): int
    {
        $this->paths->make();
        $lock = Lock::take($this->paths->run().'/up.lock') ?? throw Trouble::alreadyStarting('start');
        if (! Instance::isUp($this->paths)) {
            $this->terminal->say(
                'Silver Parrot: installs what is missing, starts its own database and web server on 127.0.0.1, and '
                    .'fills the demo at the first start.',
            );
        }
        (new Debian($this->paths, $this->terminal))->install(Debian::TO_RUN, $arguments->has('--yes'));
        (new Composer($this->paths, $this->terminal))->install(withTools: false, exact: $arguments->has('--exact'));
        (new Logs($this->paths))->close();
        $settings = Settings::open($this->paths);
        $port = Instance::isUp($this->paths) ? $this->portInUse() : $arguments->port('--port') ?? self::PORT;
        if (Instance::isUp($this->paths)) {
            $this->terminal->say("It is running already, on port $port.");
        } else {
            $this->start($settings, $port);
        }
        $this->prepare($port);
        $lock->release();

        return 0;
    }

    private function start(Settings $settings, int $port): void
    {
        Instance::clear($this->paths);
        if (! Port::isFree($port)) {
            throw Trouble::portTaken($port, 'the application', '--port');
        }
        foreach (['DB_PORT', 'HARBOUR_CHAT_PORT', 'HARBOUR_DETAILS_PORT', 'AIR_STREAM_PORT'] as $name) {
            // Only the settings file knows these ports, so another one may be taken without asking.
            if (! Port::isFree($settings->port($name))) {
                $settings->put($name, (string) Port::firstFreeFrom($settings->port($name) + 1));
            }
        }
        $database = Database::of($this->paths, $settings);
        if (! is_file($this->paths->data().'/.complete')) {
            $this->terminal->say('Making the data directory of the database …');
        }
        $database->prepare();
        Disk::write($this->paths->run().'/port', (string) $port);
        Shell::run(['setsid', '--fork', PHP_BINARY, $this->paths->project.'/bin/parrot', 'supervise', "--port=$port"]);
        $this->await($database, 60);
        $database->grant($settings->get('DB_DATABASE'), $settings->get('DB_USERNAME'), $settings->get('DB_PASSWORD'));
        $this->await(new Web($this->paths, $port), 30);
    }

    private function await(Server $server, float $seconds): void
    {
        $until = microtime(true) + $seconds;
        while (! $server->isReady()) {
            if (microtime(true) > $until || Disk::isFull($this->paths->home)) {
                (new Down($this->paths, $this->terminal))->stop();
                throw Disk::isFull($this->paths->home)
                    ? Trouble::diskFull($this->paths->home)
                    : Trouble::notReady("The {$server->name()} server", $this->paths->log($server->name().'.log'));
            }
            usleep(50_000);
        }
    }

    private function prepare(int $port): void
    {
        // What it prints holds a link that signs in: it goes to the terminal, and into no log unless it failed.
        [$code, $printed] = Shell::run(
            [PHP_BINARY, $this->paths->project.'/artisan', 'parrot:prepare', '--no-ansi'],
            $this->paths->project,
            ['APP_URL' => "http://127.0.0.1:$port"],
        );
        if ($code !== 0) {
            throw Trouble::notReady(
                'The application',
                $this->paths->note(
                    'prepare.log',
                    (string) preg_replace('~/sign-in/link/\S+~', '/sign-in/link/…', $printed),
                ),
            );
        }
        $this->terminal->say(rtrim($printed));
        $this->terminal->say('Stop it with: bin/parrot down');
    }

    private function portInUse(): int
    {
        return (int) @file_get_contents($this->paths->run().'/port') ?: self::PORT;
    }
}
