<?php

declare(strict_types=1);

namespace App\Console;

use App\Air\Air;
use App\Air\Details;
use App\Publish\Editions;
use Illuminate\Console\Command;
use Illuminate\Contracts\Config\Repository;
use Illuminate\Database\Connection;
use Illuminate\Database\QueryException;

final class AirCommand extends Command
{
    protected $signature = 'parrot:air';

    protected $description = 'Hear the chats of all published channels and answer; started by bin/parrot up';

    public function handle(Connection $connection, Editions $editions, Repository $config): int
    {
        $this->awaitTables($connection);
        (new Air($connection, $editions, $config->string('air.chat'), new Details($config->string('air.details')), $config->string('air.nick')))->run();

        return self::SUCCESS;
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
