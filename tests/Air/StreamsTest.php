<?php

declare(strict_types=1);

namespace Tests\Air;

use App\Air\Streams\Token;

/** Streams of events as any program could ask for them. */
final class StreamsTest extends AirTestCase
{
    public function test_only_a_token_of_a_member_opens_a_stream_and_only_of_its_channel(): void
    {
        $database = $this->air->database();
        $database->exec(
            "INSERT IGNORE INTO users (id, name, email, password) VALUES (77, 'Pia', 'pia@far-harbour.example', 'x')",
        );
        $database->exec(
            "INSERT IGNORE INTO channels (id, login, name, talkers, details) VALUES (77, 'far_harbour', 'Far "
                ."Harbour', '[]', '{}')",
        );
        $database->exec("INSERT IGNORE INTO memberships (channel_id, user_id, role) VALUES (77, 77, 'streamer')");
        self::assertStringContainsString(' 200 ', $this->ask("GET /stream?token={$this->token(1, 1)}"));
        self::assertStringContainsString(' 200 ', $this->ask("GET /stream?token={$this->token(77, 77)}"));
        $refused = [
            "GET /stream?token={$this->token(77, 1)}" => '403',
            "GET /stream?token={$this->token(1, 77)}" => '403',
            "GET /stream?token={$this->token(1, 1, -61)}" => '403',
            "GET /stream?token={$this->token(1, 1, 0, 'guessed')}" => '403',
            'GET /stream' => '403',
            'GET /stream?token[]=x' => '403',
            "GET /?token={$this->token(1, 1)}" => '404',
            "POST /stream?token={$this->token(1, 1)}" => '405',
            'nonsense' => '400',
        ];
        foreach ($refused as $request => $status) {
            self::assertStringContainsString(" $status ", $this->ask((string) $request), (string) $request);
        }
        self::assertStringNotContainsString('Set-Cookie', $this->ask("GET /stream?token={$this->token(1, 1)}"));

        $own = $this->open($this->token(1, 1));
        $far = $this->open($this->token(77, 77));
        $this->viewer('pia')->say('heard in the cove only');
        self::assertStringContainsString('heard in the cove only', $this->read($own, 'heard in the cove only'));
        self::assertStringNotContainsString('cove only', $this->read($far, 'cove only', 1));
    }

    public function test_whoever_comes_back_is_told_what_was_missed_and_a_stream_lives_without_lines(): void
    {
        $stream = $this->open($this->token(1, 1));
        $viewer = $this->viewer('maren');
        $viewer->say('the first of two');
        preg_match(
            '/^id: (\d+)\nevent: line\ndata: .*the first of two/m',
            $this->read($stream, 'the first of two'),
            $first,
        );
        fclose($stream);
        $viewer->say('the second of two');
        $missed = $this->read($this->open($this->token(1, 1), "Last-Event-ID: $first[1]\r\n"), 'the second of two');
        self::assertStringNotContainsString('the first of two', $missed);
        self::assertStringContainsString('the second of two', $missed);
        self::assertStringContainsString(
            ': still here',
            $this->read($this->open($this->token(1, 1)), ': still here', 20),
        );
    }

    private function token(int $user, int $channel, int $later = 0, ?string $key = null): string
    {
        return Token::issue(
            $user,
            $channel,
            $this->grant($user),
            time() + $later,
            $key ?? $this->air->setting('APP_KEY'),
        );
    }

    /** That a session of theirs may read along, as signing in and opening the page makes it. */
    private function grant(int $user): string
    {
        $id = substr(hash('sha256', "session of $user"), 0, 40);
        $this->air
            ->database()
            ->exec(
                "INSERT INTO stream_grants (id, user_id, expires_at) VALUES ('$id', $user, UTC_TIMESTAMP() + INTERVAL "
                    .'1 HOUR) ON DUPLICATE KEY UPDATE expires_at = VALUES(expires_at)',
            );

        return $id;
    }

    private function ask(string $request): string
    {
        $socket = $this->connect();
        fwrite($socket, "$request HTTP/1.1\r\nHost: x\r\n\r\n");

        return (string) fread($socket, 4096);
    }

    /** @return resource */
    private function open(string $token, string $header = '')
    {
        $socket = $this->connect();
        fwrite($socket, "GET /stream?token=$token HTTP/1.1\r\nHost: x\r\n$header\r\n");
        usleep(200_000);

        return $socket;
    }

    /** @return resource */
    private function connect()
    {
        $socket = stream_socket_client("tcp://127.0.0.1:{$this->air->setting('AIR_STREAM_PORT')}");
        self::assertIsResource($socket);
        stream_set_timeout($socket, 20);

        return $socket;
    }

    /** @param  resource  $socket */
    private function read($socket, string $until, float $seconds = 20): string
    {
        stream_set_blocking($socket, false);
        $read = '';
        for ($end = hrtime(true) + $seconds * 1e9; hrtime(true) < $end && ! str_contains($read, $until);) {
            $read .= (string) fread($socket, 8192);
            usleep(20_000);
        }

        return $read;
    }
}
