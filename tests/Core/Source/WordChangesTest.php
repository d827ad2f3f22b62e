<?php

declare(strict_types=1);

namespace Tests\Core\Source;

use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;
use SilverParrot\Source\WordDiff;

final class WordChangesTest extends TestCase
{
    use TestTrait;

    public function test_words_and_whole_slots_are_told_apart(): void
    {
        self::assertSame(
            [
                ['same', '[fact.tide]'],
                ['gone', ' Now it'],
                ['new', ' It'],
                ['same', ' is'],
                ['gone', ' [now]'],
                ['new', ' [now | short]'],
                ['same', '.'],
                ['new', ' Ahoy!'],
            ],
            WordDiff::between('[fact.tide] Now it is [now].', '[fact.tide] It is [now | short]. Ahoy!'),
        );
        self::assertSame([['new', 'ahoy']], WordDiff::between('', 'ahoy'));
        self::assertSame([], WordDiff::between('', ''));
    }

    public function test_what_stays_and_went_is_the_one_text_and_what_stays_and_came_the_other(): void
    {
        $words = Generators::map(
            static fn (array $some): string => implode('', $some),
            Generators::seq(Generators::elements('tide', ' ', '[now]', 'é', '[[', '.', 'knot ', '😀')),
        );
        $this->forAll($words, $words)->then(static function (string $before, string $after): void {
            $text = static fn (string $not): string => implode(
                '',
                array_column(
                    array_filter(
                        WordDiff::between($before, $after),
                        static fn (array $part): bool => $part[0] !== $not,
                    ),
                    1,
                ),
            );
            self::assertSame([$before, $after], [$text(WordDiff::NEW), $text(WordDiff::GONE)]);
        });
    }
}
