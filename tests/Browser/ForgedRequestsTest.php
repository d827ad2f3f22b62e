<?php

declare(strict_types=1);

namespace Tests\Browser;

/** Requests that another page makes in the name of whoever is signed in here: each is refused, whatever it asks for. */
final class ForgedRequestsTest extends BrowserTestCase
{
    public function test_no_change_is_made_without_the_pages_own_token(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $cookies = implode(
            '; ',
            array_map(
                static fn ($cookie): string => "{$cookie->getName()}={$cookie->getValue()}",
                $page->driver->manage()->getCookies(),
            ),
        );
        $before = $this->digest();
        $asked = 0;
        foreach ($this->changes() as [$method, $path]) {
            foreach (
                [['POST', "_method=$method"], [$method, ''], ['POST', "_method=$method&_token=guessed"]] as [$as, $body]
            ) {
                foreach (['application/x-www-form-urlencoded', 'text/plain'] as $kind) {
                    $status = $this->ask($as, $path, $cookies, $body, $kind);
                    // A form that comes without its token is led to the door, as if its session had ended.
                    $isLedAway = $status === 302 && preg_grep('~^Location: .*/sign-in$~', $this->headers) !== [];
                    self::assertTrue($isLedAway || in_array($status, [419, 405], true), "$status: $as $path $body");
                    $asked++;
                }
            }
            // Nor is a change made by looking.
            self::assertNotContains($this->ask('GET', "$path?_method=$method", $cookies), [500], $path);
        }
        self::assertGreaterThan(90, $asked);
        self::assertSame($before, $this->digest());
    }

    public function test_a_name_that_is_not_this_machines_is_answered_by_nobody(): void
    {
        self::assertSame(400, $this->ask('GET', '/sign-in', '', host: 'evil.example'));
        self::assertSame(200, $this->ask('GET', '/sign-in', '', host: 'localhost'));
    }

    public function test_what_ships_with_the_application_bears_headers_and_nothing_else_is_served(): void
    {
        foreach (['/assets/app.css', '/assets/app.js', '/assets/parrot.svg'] as $path) {
            $this->ask('GET', $path, '');
            self::assertStringContainsString('nosniff', implode("\n", $this->headers), $path);
            self::assertStringContainsString('immutable', implode("\n", $this->headers), $path);
        }
        foreach (
            [
                '/assets/../../.env',
                '/assets/%2e%2e/index.php',
                '/.env',
                '/index.php/../.env',
                '/storage/logs/web.log',
                '/assets/',
                '/assets/fonts',
                '/assets/app.css%00.php',
            ] as $path
        ) {
            self::assertContains($this->ask('GET', $path, ''), [400, 404, 302], $path);
        }
    }

    /** @var list<string> of the last answer */
    private array $headers = [];

    private function ask(
        string $method,
        string $path,
        string $cookies,
        string $body = '',
        string $kind = 'application/x-www-form-urlencoded',
        string $host = '',
    ): int {
        $context = stream_context_create([
            'http' => [
                'method' => $method,
                'content' => $body,
                'ignore_errors' => true,
                'follow_location' => 0,
                'timeout' => 10,
                'header' => [
                    "Cookie: $cookies",
                    "Content-Type: $kind",
                    'Origin: http://evil.example',
                    ...$host === '' ? [] : ["Host: $host"],
                ],
            ],
        ]);
        $answer = file_get_contents($this->url($path), false, $context);
        self::assertNotFalse($answer);
        $this->headers = $http_response_header;

        return (int) (explode(' ', $http_response_header[0])[1] ?? 0);
    }

    /** @return list<array{string, string}> every route that changes something: method and path */
    private function changes(): array
    {
        exec(
            escapeshellarg(PHP_BINARY).' '.escapeshellarg(dirname(__DIR__, 2).'/artisan').' route:list --json',
            $printed,
        );
        /** @var list<array{method: string, uri: string}> $routes */
        $routes = json_decode(implode('', $printed), true);
        $changes = [];
        foreach ($routes as $route) {
            foreach (array_intersect(explode('|', $route['method']), ['POST', 'PUT', 'PATCH', 'DELETE']) as $method) {
                $path = preg_replace_callback(
                    '/\{(\w+)\}/',
                    static fn (array $part): string => match ($part[1]) {
                        'token' => str_repeat('a', 48),
                        'kind' => 'facts',
                        'transfer' => 'quotes',
                        'day' => '2026-12-24',
                        'batch' => str_repeat('0', 26),
                        default => '1',
                    },
                    $route['uri'],
                );
                $changes[] = [$method, '/'.$path];
            }
        }
        self::assertGreaterThan(20, count($changes));

        return $changes;
    }

    private function digest(): string
    {
        $digest = '';
        foreach (['users', 'commands', 'memberships', 'editions', 'invitations', 'expectations', 'emotes'] as $table) {
            $digest .= json_encode(
                $this->database()
                    ->query("SELECT * FROM $table ORDER BY id")
                    ->fetchAll(\PDO::FETCH_NUM),
                JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE,
            );
        }

        return hash('sha256', $digest);
    }
}
