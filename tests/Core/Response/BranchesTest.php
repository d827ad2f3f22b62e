<?php

declare(strict_types=1);

namespace Tests\Core\Response;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use SilverParrot\Response\Branches;
use SilverParrot\Response\Response;
use Tests\Pathological\Grammar;

/** Each branch of a response, taken. */
final class BranchesTest extends TestCase
{
    public function test_each_branch_is_taken_once_and_other_choices_stand_as_they_are(): void
    {
        self::assertSame([], Branches::of('No choice at [all], [[when x].'));
        self::assertSame(
            [['when target', 'Ahoy Pia!'], ['else', 'Ahoy!']],
            Branches::of('Ahoy[when target] Pia[end]!'),
        );
        self::assertSame(
            [
                ['when a', '1[when x]2[else][end]'],
                ['else when b', '3[when x]2[else][end]'],
                ['else', '4[when x]2[else][end]'],
                ['when x', '[when a]1[else when b]3[else]4[end]2'],
                ['else', '[when a]1[else when b]3[else]4[end]'],
            ],
            Branches::of('[when a]1[else when b]3[else]4[end][when x]2[end]'),
        );
        self::assertSame(
            [['when a', 'x[when b]y[else][end]'], ['when a, when b', 'xy'], ['when a, else', 'x'], ['else', '']],
            Branches::of('[when a]x[when b]y[end][end]'),
        );
    }

    public function test_text_that_is_no_whole_choice_is_read_all_the_same_and_branches_stay_readable(): void
    {
        foreach (['[when', '[when a]x', '[end]', '[else]', '[when a]x[else]y', '[when a][when b]', '[]]['] as $text) {
            foreach (Branches::of($text) as [$label, $taken]) {
                self::assertStringNotContainsString("[$label]", $taken, $text);
            }
            self::assertLessThan(5, count(Branches::of($text)), $text);
        }
        for ($seed = 0; $seed < 400; $seed++) {
            $text = (new Grammar(new Randomizer(new Mt19937($seed))))->response();
            // A name that a branch gives is missing where another is taken.
            $isReadable = ! str_contains($text, ' as ') && Response::of($text)->isReadable();
            foreach (Branches::of($text) as [, $taken]) {
                self::assertTrue(! $isReadable || Response::of($taken)->isReadable(), "$text\n$taken");
            }
        }
    }
}
