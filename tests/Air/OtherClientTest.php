<?php

declare(strict_types=1);

namespace Tests\Air;

use PHPUnit\Framework\TestCase;

/** The harbour as an IRC library sees it that knows nothing of us: npm irc-framework 4. */
final class OtherClientTest extends TestCase
{
    private HarbourProcess $harbour;

    protected function setUp(): void
    {
        $this->harbour = HarbourProcess::start('--accounts=quill:tar and oakum,bram:rope');
    }

    protected function tearDown(): void
    {
        $this->harbour->end();
    }

    public function test_it_negotiates_signs_in_joins_says_and_hears_with_tags(): void
    {
        $client = $this->client('quill', 'tar and oakum');
        self::assertSame("in\n", fgets($client[1]), 'it has heard itself');
        $this->harbour->post('/channels/lantern_cove/lines', ['as' => 'bram', 'text' => 'mind; the \\ rail']);
        $seen = self::seen($client);
        self::assertEqualsCanonicalizing(
            ['message-tags', 'server-time', 'account-tag', 'echo-message', 'sasl'],
            array_intersect($seen['capabilities'], [
                'message-tags',
                'server-time',
                'account-tag',
                'echo-message',
                'sasl',
            ]),
        );
        self::assertContains(['signed in', 'quill'], $seen['events']);
        self::assertContains(['people', true], $seen['events']);
        $messages = array_values(array_filter($seen['events'], static fn (array $one): bool => count($one) === 4));
        self::assertSame(
            [['quill', 'ahoy from elsewhere', true], ['bram', 'mind; the \\ rail', true]],
            array_map(static fn (array $one): array => [$one[0], $one[1], $one[3]], $messages),
        );
        self::assertSame(
            ['bram', 'follower,moderator'],
            [$messages[1][2]['account'] ?? '', $messages[1][2]['harbour.example/levels'] ?? ''],
        );
        self::assertNotSame($messages[0][2]['msgid'] ?? '', $messages[1][2]['msgid'] ?? '');
    }

    public function test_a_wrong_secret_is_refused(): void
    {
        self::assertContains(['not signed in', 'fail'], self::seen($this->client('quill', 'rope'))['events']);
    }

    /** @return array{resource, resource} */
    private function client(string $account, string $secret): array
    {
        $process = proc_open(
            [
                'node',
                __DIR__.'/irc-client.cjs',
                (string) $this->harbour->chat,
                $account,
                $account,
                $secret,
                '#lantern_cove',
            ],
            [['file', '/dev/null', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
            dirname(__DIR__, 2),
        );
        self::assertIsResource($process);

        return [$process, $pipes[1]];
    }

    /**
     * @param  array{resource, resource}  $client
     * @return array{capabilities: list<string>, events: list<array<int, mixed>>}
     */
    private static function seen(array $client): array
    {
        /** @var array{capabilities: list<string>, events: list<array<int, mixed>>} $seen */
        $seen = json_decode((string) stream_get_contents($client[1]), true);
        proc_close($client[0]);

        return $seen;
    }
}
