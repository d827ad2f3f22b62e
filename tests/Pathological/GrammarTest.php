<?php

declare(strict_types=1);

namespace Tests\Pathological;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Checks\ConditionSampler;
use SilverParrot\Hearing\Trace\Trace;
use SilverParrot\Memory\CompleteView;
use SilverParrot\Rehearsal\SyntheticWorld;
use SilverParrot\Response\Analysis\Lengths;
use SilverParrot\Response\Analysis\StaticAnalyzer;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\Evaluation\Invocation;
use SilverParrot\Response\Evaluation\PendingReads;
use SilverParrot\Response\OwnResponses;
use SilverParrot\Response\RenderedResponse;
use SilverParrot\Response\Response;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Response\Syntax\Choice;
use SilverParrot\Response\Vocabulary\Vocabulary;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Moment;
use SilverParrot\World as SaidIn;
use Tests\Core\Response\World;
use Tests\Outside;

/**
 * Responses made by the grammar: they are read without a mistake, say the same each time, stay within what was
 * foretold, and nothing in them is read twice.
 */
final class GrammarTest extends TestCase
{
    private const TYPED = [
        '[add 99 to counter.planks]',
        '@odo 5 [caller]',
        '',
        '7',
        'Planking [when yes]x',
        "\u{200B}/ban odo",
    ];

    public function test_what_the_grammar_makes_is_read_said_and_foretold(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(20261126));
        $grammar = new Grammar($random);
        $pack = World::pack();
        $situation = World::situation($pack)->withCast($pack);
        $profile = ChatProfile::stream();
        $caller = World::people()[0]->person();
        [$lengths, $vocabulary, $memory, $readings] = [
            Lengths::of($pack->channel),
            new Vocabulary,
            new CompleteView($situation->memory),
            $situation->readings(),
        ];
        $now = Moment::fromIso(World::NOW) ?? new Moment(0);
        $rounds = Outside::rounds(4_000, 500_000);
        $said = 0;
        for ($i = 0; $i < $rounds; $i++) {
            $source = $grammar->response();
            if (mb_strlen($source) > Limits::SOURCE) {
                continue;
            }
            $response = Response::of($source, $vocabulary);
            if (! $response->isReadable()) {
                $mistake = $response->findings($pack)[0];
                self::fail(
                    "{$mistake->sentence()} at {$mistake->span?->from}, “"
                        .mb_substr($source, max(0, ($mistake->span->from ?? 0) - 60), 120)
                        .'”',
                );
            }
            $typed = self::TYPED[$i % count(self::TYPED)];
            $world = new SaidIn($pack, $memory, $readings, $now, new KeyedChance('grammar', (string) $i), $profile);
            $scene = Invocation::of($caller, $typed, '!say', trim("!say $typed"));
            $own = new OwnResponses(new ResponseCache);
            $once = $response->say(new EvaluationContext($world, $scene, 'x', new PendingReads, own: $own));
            self::assertNotNull($once, 'all is at hand, so nothing is waited for');
            $text = $once instanceof RenderedResponse ? $once->text : $once->getMessage();
            if ($i % 7 === 0) {
                // Whether somebody reads along makes no difference.
                $again = $response->say(new EvaluationContext($world, $scene, 'x', new PendingReads, new Trace, $own));
                self::assertSame($text, $again instanceof RenderedResponse ? $again->text : $again?->getMessage());
                self::assertSame(
                    $text,
                    $once instanceof RenderedResponse ? implode('', array_column($once->pieces(), 0)) : $text,
                );
            }
            if ($once instanceof RenderedResponse) {
                $said++;
                $this->withinBounds(
                    $response,
                    $text,
                    StaticAnalyzer::of($response, $pack, $profile, ['!say'], $lengths)->extent,
                );
                if ($response->changedPlaces() === []) {
                    // What was typed looks like a verb, and so does a fact.
                    self::assertSame(
                        [],
                        array_filter($once->changes, static fn ($change): bool => $change->key->kind->isAuthored()),
                        $source,
                    );
                }
            } else {
                self::assertTrue(
                    $once instanceof EvaluationFailure
                        && ($once->span === null
                            || ($once->span->from >= 0 && $once->span->to <= mb_strlen($response->text))),
                    $source,
                );
            }
        }
        self::assertGreaterThan($rounds * 0.25, $said);
    }

    /** What a check says never holds, or always, is held against what comes of it under many circumstances. */
    public function test_no_claim_about_a_condition_is_ever_wrong(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(26));
        $grammar = new Grammar($random);
        $pack = World::pack();
        $profile = ChatProfile::stream();
        $vocabulary = new Vocabulary;
        $now = Moment::fromIso(World::NOW) ?? new Moment(0);
        $typed = [
            '',
            '7',
            '1',
            '5 6',
            'Planking',
            'a',
            '@odo 2.5',
            'moderator vip',
            'somebody',
            "\u{200B}x",
            'port odo tamsin',
        ];
        $claimed = 0;
        for ($i = 0; $i < Outside::rounds(1_500, 60_000); $i++) {
            $condition = $grammar->condition();
            $response = Response::of("[when $condition]Y[else]N[end]", $vocabulary);
            if (! $response->isReadable()) {
                continue;
            }
            $choice = $response->parts[0];
            self::assertInstanceOf(Choice::class, $choice);
            $estimate = StaticAnalyzer::of($response, $pack, $profile, ['!say']);
            [$holds] = ConditionSampler::of([$choice->branches[0]->condition], $estimate->values, $pack, $profile);
            if ($holds === null) {
                continue;
            }
            $claimed++;
            for ($attempt = 0; $attempt < 40; $attempt++) {
                $imagined = new SyntheticWorld(
                    $pack,
                    ['tamsin', 'somebody', 'a'][$attempt % 3],
                    40 + $attempt,
                    ['a', 'Planking', 'port', '', 'moderator'],
                    range(-3, 13),
                );
                $world = new SaidIn(
                    $pack,
                    $imagined,
                    $imagined,
                    $now,
                    new KeyedChance('claims', (string) $attempt),
                    $profile,
                );
                $line = $typed[$attempt % count($typed)];
                $caller = Person::known(
                    '1',
                    ['tamsin', 'odo', 'a'][$attempt % 3],
                    'Tamsin',
                    Levels::of(Level::cases()[$attempt % 8]),
                    $attempt % 4,
                );
                $said = $response->say(
                    new EvaluationContext(
                        $world,
                        Invocation::of($caller, $line, '!say', trim("!say $line")),
                        'x',
                        new PendingReads,
                        own: new OwnResponses(new ResponseCache),
                    ),
                );
                if ($said instanceof RenderedResponse && ($said->text === 'Y') !== $holds) {
                    self::fail(
                        "“{$condition}” was said to "
                            .($holds ? 'hold always' : 'hold never')
                            .", and with “{$line}” {$said->text} was said where "
                            .implode(', ', $imagined->given()),
                    );
                }
            }
        }
        self::assertGreaterThan(100, $claimed);
    }

    /**
     * What fails in the circumstances at hand: readings are no moments until look-ups have types, and neither a line
     * nor a list of triggers is an address.
     */
    private const ONLY_HERE = [
        '[lookup.tide.high + "2 days"]',
        '[lookup.tide.high - "2 days"]',
        '[message | link]',
        '[commands | link]',
    ];

    public function test_what_is_said_to_fail_always_never_succeeds(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(2718));
        $grammar = new Grammar($random);
        $circumstances = new Circumstances;
        $rounds = Outside::rounds(3_000, 100_000);
        $certain = 0;
        $most = self::circumstances();
        for ($i = 0; $i < $rounds; $i++) {
            $source = $grammar->response();
            if ($circumstances->areSaidToFailAlways($source)) {
                $certain++;
                $line = $circumstances->inWhichItSucceeds($source, $most);
                self::assertNull($line, "“{$source}” is said to fail always");
            }
        }
        self::assertGreaterThan(100, $certain);
    }

    /**
     * Every way to put two things together. What fails in all of many circumstances, its own texts and numbers among
     * them, is said to.
     */
    public function test_what_fails_in_every_circumstance_is_said_to_fail_always(): void
    {
        $circumstances = new Circumstances;
        $wrong = [];
        $most = self::circumstances();
        foreach (Pairs::sources() as $source) {
            $isCertain = $circumstances->areSaidToFailAlways($source);
            $in = $circumstances->inWhichItSucceeds($source, $isCertain ? $most : 1_000);
            if ($isCertain === ($in !== null) && ! in_array($source, self::ONLY_HERE, true)) {
                $wrong[] = $source.($in === null ? '' : " succeeds in $in");
            }
        }
        self::assertSame([], $wrong);
    }

    /** Each line that may be typed at least once. */
    private static function circumstances(): int
    {
        return Outside::rounds(21, 60);
    }

    private function withinBounds(
        Response $response,
        string $text,
        \SilverParrot\Response\Analysis\LengthBounds $extent,
    ): void {
        $length = ValueEstimate::length($text);
        if ($length < $extent->shortest || $length > $extent->longest) {
            self::fail(
                "“{$response->text}” said “{$text}”, $length characters and not {$extent->shortest} to "
                    ."{$extent->longest}",
            );
        }
    }
}
