<?php

declare(strict_types=1);

namespace App\Air;

use Illuminate\Database\Connectors\MariaDbConnector;
use SensitiveParameter;

/** Makes the talker's connections, after a loss too. */
final class KeptStatementsConnector extends MariaDbConnector
{
    /**
     * @param  string  $dsn
     * @param  string  $username
     * @param  string  $password
     * @param  array<int, mixed>  $options
     */
    protected function createPdoConnection($dsn, $username, #[SensitiveParameter] $password, $options): KeptStatements
    {
        return new KeptStatements($dsn, $username, $password, $options);
    }
}
