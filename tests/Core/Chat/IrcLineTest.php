<?php

declare(strict_types=1);

namespace Tests\Core\Chat;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use SilverParrot\Chat\Wire\IrcLine;
use Tests\Outside;

final class IrcLineTest extends TestCase
{
    public function test_a_line_is_taken_apart(): void
    {
        $line = IrcLine::parse(
            "@msgid=7;time=2026-11-25T20:00:00.000Z;x/y :odo!odo@h.example PRIVMSG #lantern_cove :ahoy : there \r\n",
        );
        self::assertEquals(
            new IrcLine('PRIVMSG', ['#lantern_cove', 'ahoy : there '], 'odo!odo@h.example', [
                'msgid' => '7',
                'time' => '2026-11-25T20:00:00.000Z',
                'x/y' => '',
            ]),
            $line,
        );
        self::assertSame('odo', $line?->nick());
        self::assertEquals(new IrcLine('PING', ['a', '']), IrcLine::parse('ping   a :'));
        self::assertNull(IrcLine::parse("\r\n"));
        self::assertNull(IrcLine::parse('@a=b :prefix'));
    }

    public function test_values_of_tags_are_escaped_both_ways(): void
    {
        $value = "a; b\\ \r\n";
        $line = new IrcLine('X', [], '', ['t' => $value]);
        self::assertSame("@t=a\\:\\sb\\\\\\s\\r\\n X\r\n", $line->encode());
        self::assertSame($value, IrcLine::parse($line->encode())?->tags['t']);
        self::assertSame(
            ['t' => 'ab'],
            IrcLine::parse('@t=a\\b\\ X')?->tags,
            'a backslash before another letter, and one at the end',
        );
    }

    public function test_nothing_in_a_text_ends_a_line_or_begins_another(): void
    {
        $line = new IrcLine('PRIVMSG', ['#cove', "hi\r\nQUIT :bye\0"]);
        self::assertSame("PRIVMSG #cove :hi  QUIT :bye \r\n", $line->encode());
        self::assertSame("PRIVMSG #co_ve :x y\r\n", (new IrcLine('PRIVMSG', ['#co ve', 'x y']))->encode());
    }

    public function test_what_is_written_is_read_back_the_same(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(3));
        $pieces = ['a', ' ', ':', ';', '\\', 'é', '😀', '=', '@', '!', '#', "\t", ''];
        $text = static function (bool $isWord) use ($random, $pieces): string {
            $text = '';
            for ($i = $random->getInt(0, 6); $i > 0; $i--) {
                $text .= $pieces[$random->getInt(0, count($pieces) - 1)];
            }

            return $isWord ? 'w'.str_replace([' ', ':'], '', $text) : $text;
        };
        for ($i = 0; $i < 3000; $i++) {
            $line = new IrcLine('CMD', [$text(true), $text(true), $text(false)], $text(true), [
                'k'.$i => $text(false),
                'j' => $text(false),
            ]);
            self::assertEquals($line, IrcLine::parse($line->encode()), $line->encode());
        }
    }

    /**
     * Oracle: npm irc-framework 4, src/irclineparser.js, on 6,000 lines made from the pieces that lines are made of.
     */
    public function test_an_independent_parser_reads_the_same(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(20261125));
        $pieces = [
            '@',
            'a=b',
            'time=2026',
            ';',
            'k=',
            '\\s',
            '\\:',
            '\\',
            '\\n',
            '=',
            '/',
            '+',
            ' ',
            '  ',
            ':',
            ':odo!o@h',
            'nick',
            'PRIVMSG',
            'ping',
            '#cove',
            '001',
            'ahoy',
            'é',
            '😀',
            ',',
            "\t",
        ];
        $lines = ['PING', ':p', '@a', '@a :p C', 'C :', 'C a :b c', 'C  a   b', ' C', '@t=x\\ C', ':p C :: :'];
        for ($i = 0; $i < 6000; $i++) {
            $line = [['@a=\\sb;c ', '@', ''], [':odo!o@h ', ':', '']][$i % 2][$i % 3];
            for ($n = $random->getInt(1, 9); $n > 0; $n--) {
                $line .= $pieces[$random->getInt(0, count($pieces) - 1)].($random->getInt(0, 2) === 0 ? ' ' : '');
            }
            // No line of the grammar begins with a space.
            $lines[] = ltrim($line, ' ');
        }
        $told = Outside::node(__DIR__.'/irc-lines.cjs', json_encode($lines, JSON_THROW_ON_ERROR));
        self::assertCount(count($lines), $told);
        $looked = 0;
        foreach ($lines as $i => $text) {
            $line = IrcLine::parse($text);
            /**
             * @var array{command: string, params: list<string>, prefix: string, tags: list<array{string, string}>}
             *     $other
             */
            $other = $told[$i];
            if ($other['command'] === '') {
                self::assertNull($line, $text);

                continue;
            }
            if (preg_match('/^[\x21-\x7E]+$/D', $other['command']) !== 1) {
                // A command has ASCII letters or digits (RFC 2812, 2.3.1); the oracle lifts the case of others too.
                continue;
            }
            $looked++;
            // Names of tags have a case (IRCv3 message-tags), which the oracle takes away.
            $tags = [];
            foreach ($line->tags ?? [] as $name => $value) {
                $tags[mb_strtolower((string) $name)] = $value;
            }
            self::assertSame(
                [$other['command'], $other['params'], $other['prefix'], array_column($other['tags'], 1, 0)],
                [$line?->command, $line?->params, $line?->prefix, $tags],
                $text,
            );
        }
        self::assertGreaterThan(4000, $looked);
    }
}
