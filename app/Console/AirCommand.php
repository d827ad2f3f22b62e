<?php

declare(strict_types=1);

namespace App\Console;

use Amp\Socket\BindContext;
use Amp\Socket\ServerSocket;
use Amp\Socket\SocketException;
use App\Air\Air;
use App\Air\AirSettings;
use App\Air\KeptStatementsConnector;
use App\Publish\Editions;
use App\Publish\FromChat\CarryOut;
use Illuminate\Console\Command;
use Illuminate\Contracts\Config\Repository;
use Illuminate\Database\Connection;
use Illuminate\Database\QueryException;
use SilverParrot\Source\Wording;

use function Amp\Socket\listen;

final class AirCommand extends Command
{
    protected $signature = 'parrot:air {--stream-port= : where streams of events are served; 0: nowhere}';

    protected $description = 'Hear the chats of all published channels and answer; started by bin/parrot up';

    public function handle(
        Connection $connection,
        Editions $editions,
        Repository $config,
        Wording $wording,
        CarryOut $effects,
    ): int {
        ini_set('memory_limit', $config->string('air.memory'));
        $this->laravel->bind('db.connector.mariadb', KeptStatementsConnector::class);
        $connection->disconnect();
        $this->awaitTables($connection);
        $port = $this->option('stream-port');
        (new Air($connection, $editions, AirSettings::of($config), $wording, $effects))->run(
            $this->streams(is_string($port) ? (int) $port : $config->integer('air.stream_port')),
        );

        return self::SUCCESS;
    }

    /** Without it pages ask by themselves now and then; a second talker on the same machine goes without. */
    private function streams(int $port): ?ServerSocket
    {
        try {
            return $port === 0 ? null : listen("127.0.0.1:$port", (new BindContext)->withTcpNoDelay());
        } catch (SocketException) {
            $this->warn(
                "Port $port is taken, so there are no streams of events; pages ask by themselves. Choose another with "
                    .'--stream-port.',
            );

            return null;
        }
    }

    /** At the first start the tables are made while this waits. */
    private function awaitTables(Connection $connection): void
    {
        for ($tries = 0; $tries < 120; $tries++) {
            try {
                $connection->select('SELECT edition_on_air, lease_epoch FROM channels LIMIT 1');

                return;
            } catch (QueryException) {
                $connection->disconnect();
                usleep(500_000);
            }
        }
    }
}
