<?php

declare(strict_types=1);

// A bare echo on the library that the talker stands on: php echo.php PORT. Each line comes back as it came.

require dirname(__DIR__, 2).'/vendor/autoload.php';

$server = Amp\Socket\listen("127.0.0.1:{$argv[1]}");
while ($socket = $server->accept()) {
    Amp\async(static function () use ($socket): void {
        while (($bytes = $socket->read()) !== null) {
            $socket->write($bytes);
        }
    });
}
