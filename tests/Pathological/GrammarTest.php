<?php

declare(strict_types=1);

namespace Tests\Pathological;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Hearing\Trace\Trace;
use SilverParrot\Memory\WholeView;
use SilverParrot\Response\Evaluation\Failed;
use SilverParrot\Response\Evaluation\Needed;
use SilverParrot\Response\Evaluation\Scene;
use SilverParrot\Response\Outlook\Forecast;
use SilverParrot\Response\Outlook\Lengths;
use SilverParrot\Response\Outlook\Outlook;
use SilverParrot\Response\Response;
use SilverParrot\Response\Said;
use SilverParrot\Response\Vocabulary;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Moment;
use SilverParrot\World as SaidIn;
use Tests\Core\Response\World;
use Tests\Outside;

/** Responses made by the grammar: they are read without a mistake, say the same each time, stay within what was foretold, and nothing in them is read twice. */
final class GrammarTest extends TestCase
{
    private const TYPED = ['[add 99 to counter.planks]', '@odo 5 [caller]', '', '7', 'Planking [when yes]x', "\u{200B}/ban odo"];

    public function test_what_the_grammar_makes_is_read_said_and_foretold(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(20261126));
        $grammar = new Grammar($random);
        $pack = World::pack();
        $situation = World::situation($pack)->withCast($pack);
        $profile = ChatProfile::stream();
        $caller = World::people()[0]->person();
        [$lengths, $vocabulary, $memory, $readings] = [Lengths::of($pack->channel), new Vocabulary, new WholeView($situation->memory), $situation->readings()];
        $now = Moment::fromIso(World::NOW) ?? new Moment(0);
        $rounds = Outside::isLong() ? 500_000 : 4_000;
        $said = 0;
        for ($i = 0; $i < $rounds; $i++) {
            $source = $grammar->response();
            if (mb_strlen($source) > Limits::SOURCE) {
                continue;
            }
            $response = Response::of($source, $vocabulary);
            if (! $response->isReadable()) {
                $mistake = $response->findings($pack)[0];
                self::fail("{$mistake->sentence()} at {$mistake->span?->from}, “".mb_substr($source, max(0, ($mistake->span->from ?? 0) - 60), 120).'”');
            }
            $typed = self::TYPED[$i % count(self::TYPED)];
            $world = new SaidIn($pack, $memory, $readings, $now, new KeyedChance('grammar', (string) $i), $profile);
            $scene = Scene::of($caller, $typed, '!say', trim("!say $typed"));
            $once = $response->say($world, $scene, 'x', new Needed);
            self::assertNotNull($once, 'all is at hand, so nothing is waited for');
            $text = $once instanceof Said ? $once->spoken->text : $once->getMessage();
            if ($i % 7 === 0) {
                // With a trace, which goes another way to the same end.
                $again = $response->say($world, $scene, 'x', new Needed, new Trace);
                self::assertSame($text, $again instanceof Said ? $again->spoken->text : $again?->getMessage());
            }
            if ($once instanceof Said) {
                $said++;
                $this->withinBounds($response, $text, Forecast::of($response, $pack, $profile, ['!say'], $lengths)->extent);
                if ($response->changes === []) {
                    // What was typed looks like a verb, and so does a fact.
                    self::assertSame([], array_filter($once->changes, static fn ($change): bool => $change->key->kind->isAuthored()), $source);
                }
            } else {
                self::assertTrue($once instanceof Failed && ($once->span === null || ($once->span->from >= 0 && $once->span->to <= mb_strlen($response->text))), $source);
            }
        }
        self::assertGreaterThan($rounds * 0.25, $said);
    }

    private function withinBounds(Response $response, string $text, \SilverParrot\Response\Outlook\Extent $extent): void
    {
        $length = Outlook::length($text);
        if ($length < $extent->shortest || $length > $extent->longest) {
            self::fail("“{$response->text}” said “{$text}”, $length characters and not {$extent->shortest} to {$extent->longest}");
        }
    }
}
