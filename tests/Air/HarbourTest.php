<?php

declare(strict_types=1);

namespace Tests\Air;

use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\Wire\IrcLine;

/** The harbour as a server of its own. */
final class HarbourTest extends TestCase
{
    private HarbourProcess $harbour;

    private int $port;

    protected function setUp(): void
    {
        $this->harbour = HarbourProcess::start();
        $this->port = $this->harbour->chat;
    }

    protected function tearDown(): void
    {
        $this->harbour->end();
    }

    public function test_tags_come_to_whoever_asked_for_them_only(): void
    {
        $tagged = ChatClient::join($this->port, 'odo', 'cove');
        $plain = ChatClient::join($this->port, 'pia', 'cove', '');
        ChatClient::join($this->port, 'silver_parrot', 'cove')->say('ahoy; all');
        $tagged->awaitSaying('ahoy; all');
        $plain->awaitSaying('ahoy; all');
        self::assertSame([], array_filter($plain->others, static fn (IrcLine $line): bool => $line->tags !== []));
        self::assertContains(
            'message-tags',
            explode(
                ' ',
                array_values(
                    array_filter(
                        $tagged->others,
                        static fn (IrcLine $line): bool => $line->command === 'CAP' && $line->param(1) === 'ACK',
                    ),
                )[0]->param(2),
            ),
        );
    }

    public function test_it_refuses_what_is_too_long_too_often_or_a_link_from_the_crowd(): void
    {
        $viewer = ChatClient::join($this->port, 'odo', 'cove');
        $viewer->say(str_repeat('é', 501));
        $viewer->say('see https://charts.lantern-cove.example');
        for ($i = 0; $i < 21; $i++) {
            $viewer->say("line $i");
        }
        $notices = static fn (ChatClient $self): array => array_values(
            array_map(
                static fn (IrcLine $line): string => $line->param(1),
                array_filter($self->others, static fn (IrcLine $line): bool => $line->command === 'NOTICE'),
            ),
        );
        self::assertTrue($viewer->await(static fn (ChatClient $self): bool => count($notices($self)) === 3));
        self::assertStringContainsString('at most 500 characters', $notices($viewer)[0]);
        self::assertStringContainsString('only moderators may post links', $notices($viewer)[1]);
        self::assertStringContainsString('slow down', $notices($viewer)[2]);
    }

    public function test_moderators_may_link_and_are_told_their_rights(): void
    {
        $viewer = ChatClient::join($this->port, 'odo', 'cove');
        $parrot = ChatClient::join($this->port, 'silver_parrot', 'cove');
        self::assertNotSame(
            [],
            array_filter(
                $parrot->others,
                static fn (IrcLine $line): bool => $line->command === 'MODE' && $line->param(1) === '+o',
            ),
        );
        $parrot->say('see https://charts.lantern-cove.example');
        $viewer->awaitSaying('https://charts.lantern-cove.example');
    }

    public function test_a_nick_is_taken_once_and_nonsense_harms_nobody(): void
    {
        $viewer = ChatClient::join($this->port, 'odo', 'cove');
        $other = stream_socket_client("tcp://127.0.0.1:{$this->port}");
        self::assertIsResource($other);
        stream_set_timeout($other, 3);
        fwrite(
            $other,
            "NICK ODO\r\nNICK bad nick!\r\nNONSENSE\r\n\r\n:only.prefix\r\n@tags\r\nJOIN cove\r\nPRIVMSG #cove :not "
                ."in\r\n",
        );
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
        $details = json_decode($this->harbour->ask('/channels/lantern_cove'), true);
        self::assertIsArray($details);
        self::assertSame(['Planking', true], [$details['category'], $details['live']]);
        self::assertSame('{"error":"not found"}', $this->harbour->ask('/channels/nowhere'));
        self::assertSame('{"error":"not found"}', $this->harbour->ask('/channels/../etc'));
        $person = json_decode($this->harbour->ask('/people/tamsin'), true);
        self::assertIsArray($person);
        self::assertSame(['followed', 'account_made', 'category', 'link'], array_keys($person));
        self::assertSame('{"error":"not found"}', $this->harbour->ask('/people/nobody'));
    }

    public function test_whoever_has_the_key_may_write_as_one_of_the_people_and_change_the_channel(): void
    {
        $viewer = ChatClient::join($this->port, 'silver_parrot', 'lantern_cove');
        self::assertSame(
            '{"done":true}',
            $this->harbour->post('/channels/lantern_cove/lines', ['as' => 'bram', 'text' => '!tide']),
        );
        $viewer->awaitSaying('!tide');
        self::assertSame(
            ['bram', 'follower,moderator'],
            [$viewer->tagsOf('!tide')['account'], $viewer->tagsOf('!tide')['harbour.example/levels']],
        );
        self::assertSame(
            '{"error":"not allowed"}',
            $this->harbour->post('/channels/lantern_cove/lines', ['as' => 'bram', 'text' => 'x'], 'guessed'),
        );
        foreach (
            [
                ['as' => 'nobody', 'text' => 'x'],
                ['as' => 'bram', 'text' => ' '],
                ['as' => 'bram'],
                ['as' => 'bram', 'text' => str_repeat('x', 501)],
            ] as $wrong
        ) {
            self::assertSame(
                '{"error":"not understood"}',
                $this->harbour->post('/channels/lantern_cove/lines', $wrong),
            );
        }
        self::assertSame(
            '{"done":true}',
            $this->harbour->post('/channels/lantern_cove', [
                'category' => 'Rigging',
                'live' => false,
                'title' => 'Masts',
            ]),
        );
        $after = json_decode($this->harbour->ask('/channels/lantern_cove'), true);
        self::assertIsArray($after);
        self::assertSame(
            ['Rigging', false, null, 'Masts'],
            [$after['category'], $after['live'], $after['started'], $after['title']],
        );
        $this->harbour->post('/channels/lantern_cove', ['category' => 'Juggling']);
        self::assertStringContainsString('"category":"Rigging"', $this->harbour->ask('/channels/lantern_cove'));
        self::assertSame('{"done":true}', $this->harbour->post('/pace', ['lines_a_minute' => 3000]));
        self::assertTrue($viewer->await(static fn (ChatClient $self): bool => count($self->heard) > 20));
        self::assertSame('{"error":"not understood"}', $this->harbour->post('/pace', ['lines_a_minute' => 3001]));
    }

    public function test_troubles_come_on_demand(): void
    {
        $viewer = ChatClient::join($this->port, 'odo', 'lantern_cove');
        self::assertSame('{"error":"not understood"}', $this->harbour->post('/troubles', ['kind' => 'plague']));
        $this->harbour->post('/troubles', ['kind' => 'delay', 'seconds' => 5]);
        $start = hrtime(true);
        $this->harbour->post('/channels/lantern_cove/lines', ['as' => 'bram', 'text' => 'late']);
        $viewer->awaitSaying('late');
        self::assertGreaterThan(1.9e9, hrtime(true) - $start);
        $this->harbour->post('/troubles', ['kind' => 'refuse', 'seconds' => 60]);
        self::assertSame('{"error":"refused"}', $this->harbour->ask('/channels/lantern_cove'));
        self::assertSame('{"error":"refused"}', $this->harbour->ask('/channels/lantern_cove', 'guessed'));
        self::assertStringContainsString(
            '"refuse":',
            $this->harbour->ask('/channels/lantern_cove/people', HarbourProcess::KEY),
        );
        $refused = stream_socket_client("tcp://127.0.0.1:{$this->port}");
        self::assertIsResource($refused);
        stream_set_timeout($refused, 5);
        self::assertSame('', (string) fread($refused, 10));
        $this->harbour->post('/troubles', ['kind' => 'drop']);
        self::assertTrue($viewer->await(static fn (ChatClient $self): bool => $self->isGone()));
    }

    public function test_a_slow_reader_holds_nobody_up(): void
    {
        $slow = stream_socket_client("tcp://127.0.0.1:{$this->port}");
        self::assertIsResource($slow);
        fwrite($slow, "NICK slow\r\nUSER slow 0 * :slow\r\nJOIN #lantern_cove\r\n");
        $viewer = ChatClient::join($this->port, 'odo', 'lantern_cove');
        $this->harbour->post('/pace', ['lines_a_minute' => 3000]);
        for ($i = 0; $i < 50; $i++) {
            $this->harbour->post('/channels/lantern_cove/lines', ['as' => 'bram', 'text' => str_repeat('x', 490).$i]);
        }
        $viewer->awaitSaying(str_repeat('x', 490).'49');
    }
}
