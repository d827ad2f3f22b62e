<?php

declare(strict_types=1);

namespace Tests\Air;

use Ground\Port;
use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\Wire\IrcLine;
use Tests\Ground\Sandbox;

/** The harbour as a server of its own. */
final class HarbourTest extends TestCase
{
    private int $port;

    private int $details;

    /** @var resource */
    private $process;

    protected function setUp(): void
    {
        $this->port = Port::firstFreeFrom(26880);
        $this->details = Port::firstFreeFrom($this->port + 1);
        $process = proc_open([PHP_BINARY, Sandbox::project().'/harbour/run.php', "--chat-port={$this->port}", "--details-port={$this->details}", '--pace=0'], [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['redirect', 1]], $pipes);
        self::assertIsResource($process);
        $this->process = $process;
        for ($tries = 0; $tries < 200 && (Port::isFree($this->port) || Port::isFree($this->details)); $tries++) {
            usleep(25_000);
        }
    }

    protected function tearDown(): void
    {
        proc_terminate($this->process, SIGKILL);
        proc_close($this->process);
    }

    public function test_tags_come_to_whoever_asked_for_them_only(): void
    {
        $tagged = ChatClient::join($this->port, 'odo', 'cove');
        $plain = ChatClient::join($this->port, 'pia', 'cove', '');
        ChatClient::join($this->port, 'silver_parrot', 'cove')->say('ahoy; all');
        $tagged->awaitSaying('ahoy; all');
        $plain->awaitSaying('ahoy; all');
        self::assertSame([], array_filter($plain->others, static fn (IrcLine $line): bool => $line->tags !== []));
        self::assertContains('message-tags', explode(' ', array_values(array_filter($tagged->others, static fn (IrcLine $line): bool => $line->command === 'CAP' && $line->param(1) === 'ACK'))[0]->param(2)));
    }

    public function test_it_refuses_what_is_too_long_too_often_or_a_link_from_the_crowd(): void
    {
        $viewer = ChatClient::join($this->port, 'odo', 'cove');
        $viewer->say(str_repeat('é', 501));
        $viewer->say('see https://charts.lantern-cove.example');
        for ($i = 0; $i < 21; $i++) {
            $viewer->say("line $i");
        }
        $notices = static fn (ChatClient $self): array => array_values(array_map(static fn (IrcLine $line): string => $line->param(1), array_filter($self->others, static fn (IrcLine $line): bool => $line->command === 'NOTICE')));
        self::assertTrue($viewer->await(static fn (ChatClient $self): bool => count($notices($self)) === 3));
        self::assertStringContainsString('at most 500 characters', $notices($viewer)[0]);
        self::assertStringContainsString('only moderators may post links', $notices($viewer)[1]);
        self::assertStringContainsString('slow down', $notices($viewer)[2]);
    }

    public function test_moderators_may_link_and_are_told_their_rights(): void
    {
        $viewer = ChatClient::join($this->port, 'odo', 'cove');
        $parrot = ChatClient::join($this->port, 'silver_parrot', 'cove');
        self::assertNotSame([], array_filter($parrot->others, static fn (IrcLine $line): bool => $line->command === 'MODE' && $line->param(1) === '+o'));
        $parrot->say('see https://charts.lantern-cove.example');
        $viewer->awaitSaying('https://charts.lantern-cove.example');
    }

    public function test_a_nick_is_taken_once_and_nonsense_harms_nobody(): void
    {
        $viewer = ChatClient::join($this->port, 'odo', 'cove');
        $other = stream_socket_client("tcp://127.0.0.1:{$this->port}");
        self::assertIsResource($other);
        stream_set_timeout($other, 3);
        fwrite($other, "NICK ODO\r\nNICK bad nick!\r\nNONSENSE\r\n\r\n:only.prefix\r\n@tags\r\nJOIN cove\r\nPRIVMSG #cove :not in\r\n");
        $answers = '';
        while (substr_count($answers, "\n") < 5 && ($line = fgets($other)) !== false) {
            $answers .= $line;
        }
        self::assertMatchesRegularExpression('/ 433 .* 421 .*NONSENSE.* 403 .* 404 /s', $answers);
        fwrite($other, str_repeat('x', 40_000));
        $viewer->say('still here');
        self::assertTrue($viewer->await(static fn (): bool => true));
        ChatClient::join($this->port, 'pia', 'cove')->say('me too');
        $viewer->awaitSaying('me too');
    }

    public function test_details_are_told_over_http_and_nothing_else_is(): void
    {
        $ask = fn (string $path): string => (string) file_get_contents("http://127.0.0.1:{$this->details}$path", false, stream_context_create(['http' => ['ignore_errors' => true, 'timeout' => 5]]));
        $details = json_decode($ask('/channels/lantern_cove'), true);
        self::assertIsArray($details);
        self::assertSame(['Planking', true], [$details['category'], $details['live']]);
        self::assertSame('{"error":"not found"}', $ask('/channels/nowhere'));
        self::assertSame('{"error":"not found"}', $ask('/channels/../etc'));
    }
}
