<?php

declare(strict_types=1);

namespace Ground;

/** A port on loopback. */
final class Port
{
    public static function isFree(int $port): bool
    {
        // Without SO_REUSEADDR a port would look held for a minute after its server ended.
        $context = stream_context_create(['socket' => ['so_reuseaddr' => true]]);
        $socket = @stream_socket_server(
            "tcp://127.0.0.1:$port",
            $code,
            $message,
            STREAM_SERVER_BIND | STREAM_SERVER_LISTEN,
            $context,
        );
        if ($socket === false) {
            return false;
        }
        fclose($socket);

        return true;
    }

    /** Whether somebody listens: asked without taking the port, even for a moment, from whoever is about to. */
    public static function answers(int $port): bool
    {
        $socket = @stream_socket_client("tcp://127.0.0.1:$port", $code, $message, 1);
        if ($socket === false) {
            return false;
        }
        fclose($socket);

        return true;
    }

    /**
     * A free one near a base. Suites that run side by side each have bases of their own (PARROT_PORTS says how far from
     * the usual ones), so that a server which starts again finds the port that it had.
     */
    public static function near(int $base): int
    {
        return self::firstFreeFrom($base + (int) getenv('PARROT_PORTS'));
    }

    public static function firstFreeFrom(int $port): int
    {
        for ($tries = 0; $tries < 200; $tries++, $port++) {
            if (self::isFree($port)) {
                return $port;
            }
        }

        return $port;
    }
}
