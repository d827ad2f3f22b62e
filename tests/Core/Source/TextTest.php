<?php

declare(strict_types=1);

namespace Tests\Core\Source;

use PHPUnit\Framework\TestCase;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Source;
use SilverParrot\Source\Span;
use SilverParrot\Source\Suggestions;
use Tests\Outside;

final class TextTest extends TestCase
{
    public function test_bytes_become_characters_in_one_place(): void
    {
        $source = new Source("é[a]\n😀b");
        self::assertEquals(new Span(1, 4), $source->span(2, 5));
        self::assertEquals(new Span(5, 7), $source->span(6, 11));
        self::assertEquals(new Span(0, 1), $source->span(0, 2), 'looking back works too');
        self::assertSame('[a]', $source->slice(new Span(1, 4)));
        self::assertSame([2, 2], $source->lineAndColumn(6));
        self::assertSame([1, 1], $source->lineAndColumn(0));
        self::assertSame('a?b', (new Source("a\xFFb"))->text, 'bytes that are no text are replaced');
    }

    /**
     * Every mapping of Unicode's CaseFolding.txt, version 15.0 (common and full: C and F): Debian package unicode-data.
     */
    public function test_folding_is_unicodes_full_case_folding(): void
    {
        $checked = 0;
        foreach (Outside::lines('unicode/CaseFolding.txt') as $line) {
            if (preg_match('/^([0-9A-F]+); ([CF]); ([0-9A-F ]+);/', $line, $part) === 1) {
                $from = mb_chr((int) hexdec($part[1]));
                $to = implode(
                    '',
                    array_map(static fn (string $hex): string => mb_chr((int) hexdec($hex)), explode(' ', $part[3])),
                );
                self::assertSame(Fold::normal($to), Fold::caseless($from), $line);
                $checked++;
            }
        }
        self::assertSame(1530, $checked);
        self::assertSame("\u{E9}", Fold::caseless("E\u{301}"), 'what is composed differently is the same');
        self::assertSame("\u{E9}", Fold::normal("e\u{301}"));
    }

    public function test_blank_is_what_shows_nothing(): void
    {
        foreach (['', ' ', "\t\n", "\u{00A0}\u{200B}", "\u{3164}", "\u{2800} \u{FEFF}"] as $blank) {
            self::assertTrue(Fold::isBlank($blank), bin2hex($blank));
        }
        foreach (['0', '.', "\u{200B}x", '🙂'] as $seen) {
            self::assertFalse(Fold::isBlank($seen), $seen);
        }
    }

    public function test_the_nearest_name_is_the_one_with_the_fewest_slips(): void
    {
        $names = ['!tide', '!tie', '!knot', '!wisdom'];
        self::assertSame('!tide', Suggestions::to('!tidee', $names));
        self::assertSame('!tide', Suggestions::to('!TDIE', $names), 'two neighbours swapped is one slip');
        self::assertSame('!wisdom', Suggestions::to('!wisdmo', $names));
        self::assertNull(Suggestions::to('!anchor', $names));
        self::assertNull(Suggestions::to(str_repeat('x', 10_000), $names));
    }
}
