<?php

declare(strict_types=1);

namespace Tests\Bench;

use App\Models\Channel;
use App\Models\User;
use App\Storage\PackRepository;
use Ground\Paths;
use Ground\TestDatabase;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use SilverParrot\Format\PackFormat;

/** The application with a database of its own, in this process. */
final readonly class BenchApplication
{
    private function __construct(private TestDatabase $database, public Application $app)
    {
    }

    public static function start(): self
    {
        $project = dirname(__DIR__, 2);
        $database = TestDatabase::start(Paths::of($project));
        $key = 'base64:'.base64_encode(random_bytes(32));
        foreach ($database->environment() + ['APP_ENV' => 'testing', 'APP_KEY' => $key] as $name => $value) {
            putenv("$name=$value");
            $_ENV[$name] = $_SERVER[$name] = $value;
        }
        /** @var Application $app */
        $app = require "$project/bootstrap/app.php";
        $kernel = $app->make(Kernel::class);
        $kernel->bootstrap();
        $kernel->call('migrate', ['--force' => true]);

        return new self($database, $app);
    }

    /** @param  array<string, mixed>  $details  of the stream */
    public function channel(string $login = 'lantern_cove', array $details = []): Channel
    {
        $document = (string) file_get_contents(dirname(__DIR__, 2).'/docs/examples/lantern-cove.pack.json');
        [$pack] = PackFormat::read(str_replace('"lantern_cove"', "\"$login\"", $document));
        $wren = User::query()->firstOrCreate(['email' => 'wren@cove.example'], ['name' => 'Wren', 'password' => 'x']);

        return $this->app->make(PackRepository::class)->make($pack, $wren, $details);
    }

    public function end(): void
    {
        $this->database->end();
    }
}
