<?php

declare(strict_types=1);

namespace Tests\Core\Chat;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use SilverParrot\Chat\Wire\IrcLine;

final class IrcLineTest extends TestCase
{
    public function test_a_line_is_taken_apart(): void
    {
        $line = IrcLine::parse("@msgid=7;time=2026-11-25T20:00:00.000Z;x/y :odo!odo@h.example PRIVMSG #lantern_cove :ahoy : there \r\n");
        self::assertEquals(new IrcLine('PRIVMSG', ['#lantern_cove', 'ahoy : there '], 'odo!odo@h.example', ['msgid' => '7', 'time' => '2026-11-25T20:00:00.000Z', 'x/y' => '']), $line);
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
        self::assertSame(['t' => 'ab'], IrcLine::parse('@t=a\\b\\ X')?->tags, 'a backslash before another letter, and one at the end');
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
            $line = new IrcLine('CMD', [$text(true), $text(true), $text(false)], $text(true), ['k'.$i => $text(false), 'j' => $text(false)]);
            self::assertEquals($line, IrcLine::parse($line->encode()), $line->encode());
        }
    }
}
