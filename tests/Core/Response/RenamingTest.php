<?php

declare(strict_types=1);

namespace Tests\Core\Response;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use SilverParrot\Response\Renaming;
use SilverParrot\Response\Response;
use Tests\Pathological\Grammar;

/** Every use of a name is renamed, and nothing else. */
final class RenamingTest extends TestCase
{
    /** @return iterable<string, array{list<string>, string, string}> heads, before, after; “planks” becomes “boards” */
    public static function texts(): iterable
    {
        $counter = ['counter'];
        yield 'a use' => [$counter, 'Now [counter.planks] planks', 'Now [counter.boards] planks'];
        yield 'in other letters' => [$counter, '[Counter.PLANKS | upper]', '[Counter.boards | upper]'];
        yield 'all parts' => [$counter, '[counter.planks.total]', '[counter.boards.total]'];
        yield 'a verb' => [$counter, '[add 1 to counter.planks | quiet]', '[add 1 to counter.boards | quiet]'];
        yield 'a condition' => [
            $counter,
            '[when counter.planks > 3]é 🪵 [counter.planks][end]',
            '[when counter.boards > 3]é 🪵 [counter.boards][end]',
        ];
        yield 'several in one' => [
            $counter,
            '[counter.planks + counter.planks * 2]',
            '[counter.boards + counter.boards * 2]',
        ];
        yield 'another kind' => [$counter, '[list.planks] "counter.planks"', '[list.planks] "counter.planks"'];
        yield 'another name' => [$counter, '[counter.plank]', '[counter.plank]'];
        $field = ['caller', 'target'];
        yield 'a field' => [$field, '[caller.planks] [target.planks]', '[caller.boards] [target.boards]'];
        yield 'a ranking' => [$field, '[top 3 by planks | scores]', '[top 3 by boards | scores]'];
        yield 'what cannot be read is left alone' => [$counter, '[counter.planks', '[counter.planks'];
    }

    /** @param  list<string>  $heads */
    #[DataProvider('texts')]
    public function test_each_use_is_renamed(array $heads, string $before, string $after): void
    {
        self::assertSame($after, Renaming::in(Response::of($before), $heads, 'planks', 'boards'));
    }

    public function test_there_and_back_is_the_same_text_and_the_old_name_is_gone(): void
    {
        for ($seed = 0; $seed < 300; $seed++) {
            $text = Response::of((new Grammar(new Randomizer(new Mt19937($seed))))->response())->text;
            $there = Renaming::in(Response::of($text), ['counter'], 'planks', 'zz_boards');
            self::assertSame($text, Renaming::in(Response::of($there), ['counter'], 'zz_boards', 'planks'), $text);
            self::assertNotContains('counter.planks', Response::of($there)->namedPlaces(), $there);
        }
    }
}
