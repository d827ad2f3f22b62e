<?php

declare(strict_types=1);

namespace Tests\Core\Chat;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Wire\Inbound;
use SilverParrot\Chat\Wire\IrcLine;
use SilverParrot\Chat\Wire\PersonTags;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Moment;

final class InboundTest extends TestCase
{
    private const NOW = '2026-11-25T20:00:00Z';

    private const PROMISED = ['message-tags', 'account-tag', 'server-time'];

    public function test_what_the_service_tells_of_a_person_is_believed(): void
    {
        $line = $this->line(
            '@msgid=7;time=2026-11-25T20:00:01.500Z;account=Bram;harbour.example/name=Bram\\sVoss;'
                .'harbour.example/levels=follower,moderator :bram!b@h PRIVMSG #cove :ahoy',
        );
        self::assertSame(
            ['7', 'account:bram', 'bram', 'Bram Voss', 'ahoy', 'bram', '2026-11-25T20:00:01.500Z'],
            [$line->key, $line->by->id, $line->by->login, $line->by->name, $line->text, $line->nick, $line->at->iso()],
        );
        self::assertTrue($line->by->levels->has(Level::Moderator));
        // An id of the service is theirs under any name; one that only looks like it is none.
        self::assertSame(
            'harbour:a1-b2',
            $this->line('@account=Bram;harbour.example/id=a1-b2 :bram!b@h PRIVMSG #cove :ahoy')->by->id,
        );
        foreach (
            [
                '@account=Bram;harbour.example/id=a:b',
                '@account=Bram;+harbour.example/id=a1',
                '@account=Bram;harbour.example/id='.str_repeat('i', 61),
            ] as $tags
        ) {
            self::assertSame('account:bram', $this->line("$tags :bram!b@h PRIVMSG #cove :ahoy")->by->id);
        }
        self::assertSame(
            'account:bram',
            $this->line('@account=Bram;harbour.example/id=a1 :bram!b@h PRIVMSG #cove :ahoy', PersonTags::none())->by
                ->id,
        );
    }

    /** @return iterable<string, array{string, PersonTags}> */
    public static function claims(): iterable
    {
        $harbour = PersonTags::ofTheHarbour();
        foreach (
            [
                '+x/levels=streamer',
                '+harbour.example/levels=streamer',
                'x/levels=streamer',
                'levels=streamer',
                'other.example/harbour.example/levels=streamer',
                'HARBOUR.EXAMPLE/levels=streamer',
            ] as $tag
        ) {
            yield $tag => ["@$tag;+x/name=Wren\\sHalloway;x/name=Wren\\sHalloway", $harbour];
        }
        yield 'the harbour’s own, on another server' => [
            '@harbour.example/levels=streamer;harbour.example/name=Wren\\sHalloway',
            PersonTags::none(),
        ];
    }

    #[DataProvider('claims')]
    public function test_nobody_makes_themselves_the_streamer(string $tags, PersonTags $known): void
    {
        $line = $this->line("$tags :odo!o@h PRIVMSG #cove :!launch", $known);
        self::assertSame([[], 'odo'], [$line->by->levels->words(), $line->by->name]);
    }

    public function test_what_a_server_never_promised_is_not_believed(): void
    {
        $line = $this->line(
            '@msgid=7;account=wren;time=2026-11-25T20:00:01Z :odo!o@h PRIVMSG #cove :ahoy',
            promised: [],
        );
        self::assertSame(['run-1', 'nick:odo', self::NOW], [$line->key, $line->by->id, $line->at->iso()]);
    }

    public function test_an_id_that_cannot_be_kept_is_known_by_its_hash_and_is_no_key_of_our_own(): void
    {
        $keys = [];
        foreach (
            [str_repeat('i', 191), str_repeat('j', 191), "\xff", "\xfe", 'tally\s1\s1', '#hash', "\u{1F30A}"] as $id
        ) {
            $key = $this->line("@msgid=$id :odo!o@h PRIVMSG #cove :x")->key;
            self::assertMatchesRegularExpression('/^#[0-9a-f]{64}$/', $key, $id);
            $keys[] = $key;
        }
        self::assertSame($keys, array_unique($keys));
    }

    public function test_people_stay_apart_however_long_they_are_named(): void
    {
        $login = fn (string $nick): string => $this->line(":$nick!x@h PRIVMSG #cove :x")->by->login;
        $names = [
            str_repeat('a', 400),
            str_repeat('a', 399).'b',
            str_repeat('a', 61),
            "J\xf6rg",
            "J\xe4rg",
            "\xff",
            str_repeat('ΐ', 30),
            'odo',
            'ODO2',
        ];
        $logins = array_map($login, $names);
        self::assertSame($logins, array_unique($logins));
        foreach ($logins as $one) {
            self::assertLessThanOrEqual(60, strlen($one));
            self::assertTrue(mb_check_encoding($one, 'UTF-8'));
        }
    }

    public function test_a_private_answer_goes_to_the_nick_of_who_asked_and_to_nobody_where_it_cannot_be_addressed(): void
    {
        self::assertSame('odo_', $this->line('@account=odo :odo_!o@h PRIVMSG #cove :!secret')->nick);
        self::assertSame('', $this->line('@account=odo :'.str_repeat('o', 61).'!o@h PRIVMSG #cove :!secret')->nick);
        self::assertSame('', $this->line("@account=odo :od\xff!o@h PRIVMSG #cove :!secret")->nick);
    }

    public function test_a_time_that_is_minutes_off_is_dropped(): void
    {
        foreach (
            [
                '9999-12-31T23:59:59Z' => self::NOW,
                '2026-11-25T20:05:01Z' => self::NOW,
                '2026-11-25T19:54:00Z' => self::NOW,
                '2026-11-25T20:04:59Z' => '2026-11-25T20:04:59Z',
                'soon' => self::NOW,
                '' => self::NOW,
            ] as $told => $taken
        ) {
            self::assertSame($taken, $this->line("@time=$told :odo!o@h PRIVMSG #cove :x")->at->iso(), (string) $told);
        }
    }

    /** Whatever bytes come: UTF-8, and of a length that fits every row. */
    public function test_any_bytes_become_a_line_that_fits_its_rows(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(20261127));
        $pieces = [
            '@',
            ';',
            '=',
            ' ',
            ':',
            '!',
            'a',
            "\xff",
            "\xc3",
            'é',
            "\u{200F}",
            "\0",
            "\r",
            'account',
            'msgid',
            'time',
            'harbour.example/name',
            'harbour.example/levels',
            '1',
            '+',
            ',',
            'moderator',
            'PRIVMSG',
            '#cove',
            str_repeat('w', 500),
            '9999-01-01T00:00:00Z',
            '😀',
            "\x01",
        ];
        for ($i = 0; $i < 4000; $i++) {
            $written = ['', '@', '@account=', '@1=x;msgid='][$i % 4];
            for ($n = $random->getInt(1, 14); $n > 0; $n--) {
                $written .= $pieces[$random->getInt(0, count($pieces) - 1)];
            }
            $parsed = IrcLine::parse($written);
            if ($parsed === null) {
                continue;
            }
            $line = Inbound::line($parsed, PersonTags::ofTheHarbour(), self::PROMISED, [], 'run-1', $this->now());
            foreach (
                [[$line->key, 190], [$line->by->id, 70], [$line->by->login, 60], [$line->nick, 60]] as [$text, $most]
            ) {
                self::assertLessThanOrEqual($most, strlen($text), bin2hex($written));
                self::assertTrue(mb_check_encoding($text, 'UTF-8'), bin2hex($written));
            }
            self::assertTrue(mb_check_encoding($line->text.$line->by->name, 'UTF-8'));
            self::assertLessThanOrEqual(Limits::NAME, mb_strlen($line->by->name));
            self::assertLessThanOrEqual(Limits::LINE, mb_strlen($line->text));
            self::assertLessThanOrEqual(300_000, abs($line->at->millis - $this->now()->millis));
        }
    }

    /** @param  list<string>  $promised */
    private function line(string $written, ?PersonTags $tags = null, array $promised = self::PROMISED): ChatLine
    {
        $line = IrcLine::parse($written);
        self::assertNotNull($line);

        return Inbound::line($line, $tags ?? PersonTags::ofTheHarbour(), $promised, [], 'run-1', $this->now());
    }

    private function now(): Moment
    {
        return Moment::fromIso(self::NOW) ?? throw new \LogicException;
    }
}
