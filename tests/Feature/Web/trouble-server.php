<?php

declare(strict_types=1);

// A web server that plays every trouble: php trouble-server.php PORT. What it does stands in the path.

$server = stream_socket_server("tcp://127.0.0.1:{$argv[1]}") ?: exit(1);
while (true) {
    $client = @stream_socket_accept($server, 3600);
    if ($client === false || pcntl_fork() !== 0) {
        // The children of before are gone by themselves.
        while (pcntl_waitpid(-1, $status, WNOHANG) > 0);
        // Or it would stay open when the child has closed it.
        is_resource($client) && fclose($client);

        continue;
    }
    $head = '';
    while (! str_contains($head, "\r\n\r\n") && ($bytes = fread($client, 8_192)) !== false && $bytes !== '') {
        $head .= $bytes;
    }
    [$path, $query] = explode('?', explode(' ', $head)[1] ?? '/', 2) + [1 => ''];
    $say = static fn (string $text): int|false => @fwrite($client, $text);
    $json = static fn (string $body, string $more = '') => $say(
        "HTTP/1.1 200 OK\r\nContent-Type: application/json\r\nContent-Length: ".strlen($body)."\r\n$more\r\n$body",
    );
    switch ($path) {
        case '/sources/drip':
            $say("HTTP/1.1 200 OK\r\nContent-Length: 1000\r\n\r\n");
            for ($at = 0; $at < 60 && $say('x') !== false; $at++) {
                sleep(1);
            }
            break;
        case '/sources/silent':
            sleep(60);
            break;
        case '/sources/headers':
            $say("HTTP/1.1 200 OK\r\n");
            for ($at = 0; $at < 1_000_000 && $say("X-Endless-$at: ".str_repeat('a', 1_000)."\r\n") !== false; $at++);
            break;
        case '/sources/bomb':
            $say("HTTP/1.1 200 OK\r\nContent-Encoding: gzip\r\n\r\n");
            $deflate = deflate_init(ZLIB_ENCODING_GZIP);
            for ($at = 0; $at < 10_000; $at++) {
                if ($say(deflate_add($deflate, str_repeat("\0", 1_000_000), ZLIB_SYNC_FLUSH)) === false) {
                    break;
                }
            }
            break;
        case '/sources/large':
            $say("HTTP/1.1 200 OK\r\n\r\n");
            for ($at = 0; $at < 100_000 && $say(str_repeat('a', 65_536)) !== false; $at++);
            break;
        case '/sources/short':
            $say("HTTP/1.1 200 OK\r\nContent-Length: 1000\r\n\r\n{\"a\":1}");
            break;
        case '/sources/reset':
            $say("HTTP/1.1 200 OK\r\nContent-Length: 1000\r\n\r\n{\"a\"");
            socket_set_option(socket_import_stream($client), SOL_SOCKET, SO_LINGER, ['l_onoff' => 1, 'l_linger' => 0]);
            break;
        case '/sources/nonsense':
            $say("\0\0\0 what?\r\n\r\n");
            break;
        case '/sources/loop':
            $say("HTTP/1.1 302 Found\r\nLocation: /loop\r\nContent-Length: 0\r\n\r\n");
            break;
        case '/sources/to':
            $say("HTTP/1.1 302 Found\r\nLocation: ".rawurldecode($query)."\r\nContent-Length: 0\r\n\r\n");
            break;
        case '/sources/echo':
            $json(json_encode(['head' => $head]));
            break;
        default:
            $json('{"high":"14:20"}');
    }
    fclose($client);
    exit(0);
}
