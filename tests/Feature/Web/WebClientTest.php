<?php

declare(strict_types=1);

namespace Tests\Feature\Web;

use Amp\Cancellation;
use Amp\TimeoutCancellation;
use App\Web\WebClient;
use Ground\Port;
use PHPUnit\Framework\TestCase;
use Revolt\EventLoop;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\Trouble;
use Symfony\Component\HttpClient\CurlHttpClient;
use Symfony\Component\HttpClient\NoPrivateNetworkHttpClient;
use Symfony\Contracts\HttpClient\Exception\TransportExceptionInterface;

/** The web as it is on a bad day, and what lies near, which is never asked. */
final class WebClientTest extends TestCase
{
    private const AT = 'http://'.WebClient::HARBOUR;

    /** @var resource */
    private static $server;

    private static int $port = 0;

    public static function setUpBeforeClass(): void
    {
        self::$port = Port::near(27_460);
        $server = proc_open(
            [PHP_BINARY, __DIR__.'/trouble-server.php', (string) self::$port],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
        );
        self::assertIsResource($server);
        self::$server = $server;
        for ($tries = 0; $tries < 2_400 && ! Port::answers(self::$port); $tries++) {
            usleep(25_000);
        }
    }

    public static function tearDownAfterClass(): void
    {
        proc_terminate(self::$server, SIGKILL);
        proc_close(self::$server);
    }

    public function test_each_trouble_is_told_within_its_time_while_the_loop_goes_on(): void
    {
        $before = memory_get_usage();
        foreach (
            [
                '/drip' => Trouble::Timeout,
                '/silent' => Trouble::Timeout,
                '/headers' => null,
                '/bomb' => Trouble::TooLarge,
                '/large' => Trouble::TooLarge,
                '/short' => Trouble::Refused,
                '/reset' => Trouble::Refused,
                '/nonsense' => Trouble::Refused,
                '/loop' => Trouble::Moved,
                '/to?https://elsewhere.org/' => Trouble::Moved,
                '/to?ftp://x.org' => Trouble::Moved,
            ] as $path => $expected
        ) {
            $last = $began = hrtime(true);
            $longest = 0;
            $watch = EventLoop::repeat(0.005, static function () use (&$last, &$longest): void {
                $longest = max($longest, hrtime(true) - $last);
                $last = hrtime(true);
            });
            $harbour = static fn (string $host): bool => $host === WebClient::HARBOUR;
            $answer = $this->client()->ask(self::AT.$path, [], [], $harbour, new TimeoutCancellation(1));
            EventLoop::cancel($watch);
            // Endless headers are refused or run out of time, whichever comes first.
            self::assertSame($expected ?? $answer, $answer, $path);
            self::assertNotInstanceOf(Answer::class, $answer, $path);
            self::assertLessThan(2e9, hrtime(true) - $began, "$path: twice the deadline");
            self::assertLessThan(1e9, $longest, "$path: the loop went on");
        }
        self::assertLessThan(16_000_000, memory_get_usage() - $before, 'nothing of it is kept');
        $answer = $this->client()->ask(self::AT.'/tide', [], [], self::all(...), new TimeoutCancellation(2));
        self::assertSame('{"high":"14:20"}', $answer instanceof Answer ? $answer->body : $answer->value);
    }

    /** A listener that is really there, on loopback: by address, by name, by a redirect. */
    public function test_what_is_near_is_never_reached(): void
    {
        $listener = stream_socket_server('tcp://127.0.0.1:0');
        self::assertIsResource($listener);
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($listener, false), ':'), 1);
        $lookedUp = 0;
        $leads = static function (string $host, Cancellation $within) use (&$lookedUp): array {
            $lookedUp++;

            return match ($host) {
                'near.org' => ['127.0.0.1'],
                'both.org' => ['8.8.8.8', '127.0.0.1'],
                'mapped.org' => ['::ffff:127.0.0.1'],
                default => [],
            };
        };
        foreach (
            [
                "http://127.0.0.1:$port/", "http://0x7f.1:$port/", "http://2130706433:$port/",
                "http://localhost:$port/",
                "http://[::1]:$port/", "http://[::ffff:127.0.0.1]:$port/", "http://１２７.0.0.1:$port/",
                "http://127.0.0.1.:$port", "http://%31%32%37.0.0.1:$port/",
                'http://near.org/', 'http://both.org/', 'http://mapped.org/', 'https://nowhere.org/',
                "http://u:p@127.0.0.1:$port/", 'file:///etc/passwd',
            ] as $address
        ) {
            $answer = $this->client($leads)->ask($address, [], [], self::all(...), new TimeoutCancellation(2));
            self::assertContains($answer, [Trouble::NotAllowed, Trouble::Refused], $address);
            $moved = $this->client($leads)->ask(
                self::AT.'/to?'.rawurlencode($address),
                [],
                [],
                self::all(...),
                new TimeoutCancellation(2),
            );
            self::assertContains($moved, [Trouble::Moved, Trouble::NotAllowed, Trouble::Refused], "to $address");
        }
        self::assertSame(8, $lookedUp, 'each name once for each time that it is asked');
        stream_set_blocking($listener, false);
        self::assertFalse(@stream_socket_accept($listener, 0), 'nobody came');
        // The guard that stands behind ours, by itself: a name that means another place by now.
        $this->expectException(TransportExceptionInterface::class);
        (new NoPrivateNetworkHttpClient(new CurlHttpClient))
            ->request('GET', "http://near.org:$port/", ['resolve' => ['near.org' => '127.0.0.1'], 'no_proxy' => '*'])
            ->getContent();
    }

    public function test_a_host_that_is_not_allowed_is_not_asked_and_secrets_stay_with_the_first(): void
    {
        $none = static fn (string $host): bool => false;
        $answer = $this->client()->ask(self::AT.'/tide', [], [], $none, new TimeoutCancellation(2));
        self::assertSame(Trouble::NotAllowed, $answer);
        $head = function (string $path): string {
            $answer = $this->client()->ask(
                self::AT.$path,
                ['Accept' => 'application/json'],
                ['X-Key' => 'a secret'],
                self::all(...),
                new TimeoutCancellation(2),
            );
            self::assertInstanceOf(Answer::class, $answer);

            return (string) json_decode($answer->body, true)['head'];
        };
        $told = $head('/echo?a=b');
        self::assertStringContainsString("GET /sources/echo?a=b HTTP/1.1\r\n", $told);
        self::assertMatchesRegularExpression('~^Accept: application/json\r$~mi', $told);
        self::assertMatchesRegularExpression('~^X-Key: a secret\r$~mi', $told);
        self::assertMatchesRegularExpression('~^User-Agent: SilverParrot/1~mi', $told);
        self::assertDoesNotMatchRegularExpression('~^Cookie:~mi', $told);
        self::assertMatchesRegularExpression('~^X-Key: a secret\r$~mi', $head('/to?'.rawurlencode('/echo')), 'at home');
    }

    /** @param  (\Closure(string, Cancellation): list<string>)|null  $leads */
    private function client(?\Closure $leads = null): WebClient
    {
        return new WebClient('127.0.0.1:'.self::$port, $leads);
    }

    private static function all(string $host): bool
    {
        return true;
    }
}
