<?php

declare(strict_types=1);

namespace Tests\Core\Source;

use PHPUnit\Framework\TestCase;
use SilverParrot\Source\Words;
use Tests\Outside;

final class WordsTest extends TestCase
{
    /**
     * Unicode's WordBreakTest.txt 15.0 (Debian package unicode-data): 1,823 cases, all of them as Swedes divide words.
     */
    public function test_words_are_divided_as_unicodes_own_cases_are(): void
    {
        [$cases, $otherwise] = [0, []];
        foreach (Outside::lines('unicode/auxiliary/WordBreakTest.txt') as $line) {
            $line = trim(explode('#', $line)[0]);
            if ($line === '') {
                continue;
            }
            $cases++;
            $words = array_map(
                static fn (string $word): string => implode(
                    '',
                    array_map(static fn (string $hex): string => mb_chr((int) hexdec(trim($hex))), explode('×', $word)),
                ),
                explode('÷', trim($line, '÷ ')),
            );
            self::assertSame($words, Words::of(implode('', $words), 'sv'), $line);
            if (Words::of(implode('', $words), 'en') !== $words) {
                $otherwise[] = $line;
            }
        }
        self::assertSame(1823, $cases);
        // CLDR joins letters over a colon in Swedish and Finnish only ("S:t Erik").
        self::assertCount(15, $otherwise);
        self::assertSame([], array_filter($otherwise, static fn (string $line): bool => ! str_contains($line, '003A')));
    }

    public function test_nothing_of_a_text_is_lost(): void
    {
        foreach (['', ' ', ...Outside::hostileStrings()] as $text) {
            self::assertSame($text, implode('', Words::of($text, 'en')));
        }
    }
}
