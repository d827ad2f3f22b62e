<?php

declare(strict_types=1);

namespace Tests\Core\Response;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Checks\Checks;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Lookup\CannedReadings;
use SilverParrot\Memory\CompleteView;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\Evaluation\Invocation;
use SilverParrot\Response\Evaluation\PendingReads;
use SilverParrot\Response\OwnResponses;
use SilverParrot\Response\RenderedResponse;
use SilverParrot\Response\Response;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Response\Vocabulary\Vocabulary;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Moment;
use SilverParrot\World as SaidIn;

/** No response and no line makes anything large, or keeps anybody waiting. */
final class ValueLimitsTest extends TestCase
{
    /** @return iterable<string, array{string, string, string}> a response, the words, why it fails */
    public static function growths(): iterable
    {
        $a = str_repeat('a', 480);
        yield 'a text replaced by more of itself' => [
            '["aaaaaaaaaa"'.str_repeat(' | replace "a" "aaaaaaaaaa"', 9).']',
            '',
            'too-long-a-text',
        ];
        yield 'words replaced by themselves' => [
            '[words | replace "a" words | replace "a" words | replace "a" words]',
            $a,
            'too-long-a-text',
        ];
        yield 'a long text in place of each letter of another' => [
            '["'.str_repeat('🦜', 900).'" | replace "🦜" "🦜🦜🦜🦜" as flock][flock | replace "🦜" flock]',
            '',
            'too-long-a-text',
        ];
        yield 'words joined by themselves' => [
            '[words | sort | join words | sort | join words | cut 5]',
            str_repeat('a ', 900),
            'too-long-a-text',
        ];
        yield 'a list of too many parts' => ['[words | join "a b" | sort]', '', ''];
        yield 'too many words' => [
            '[words | replace "a" "a " | sort | count]',
            str_repeat('a', 1_500),
            'too-many-parts',
        ];
        yield 'a plural of many signs' => ['[1 | plural words]', str_repeat('#', 1_900).str_repeat('é', 100), ''];
        yield 'an address of an address' => [
            '[words'.str_repeat(' | url', 60).']',
            str_repeat('é', 400),
            'too-long-a-text',
        ];
        yield 'more work than one reply may take' => [
            str_repeat('[words | title | quiet]', 64),
            str_repeat('a ', 1_000),
            'too-much-work',
        ];
    }

    #[DataProvider('growths')]
    public function test_what_grows_fails_before_it_is_built(string $source, string $words, string $reason): void
    {
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $said = self::say($source, $words);
        self::assertSame($reason, $said instanceof EvaluationFailure ? $said->reason : '');
        self::assertLessThan(8_000_000, memory_get_peak_usage() - $before);
        // And whoever writes it is told before anybody says a line, where a line can be long enough in this chat.
        $codes = self::codes($source);
        if ($reason !== '' && $reason !== 'too-many-parts') {
            self::assertNotSame(
                [],
                array_intersect($codes, ['can-fail', 'too-much-work', 'grows-too-long']),
                implode(', ', $codes),
            );
        }
    }

    /** @return iterable<string, array{string}> */
    public static function filters(): iterable
    {
        foreach ((new Vocabulary)->filters as $filter) {
            yield $filter->describe()->name => [$filter->describe()->name];
        }
    }

    #[DataProvider('filters')]
    public function test_no_line_alone_makes_a_filter_work_for_too_long(string $filter): void
    {
        $arguments =
            [
                'cut' => ' 30',
                'join' => ' words',
                'replace' => ' "a" words',
                'default' => ' words',
                'in' => ' days',
                'plural' => ' words words',
                'date' => ' words',
                'round' => ' 2',
            ][$filter] ?? '';
        foreach (
            [
                str_repeat('a ', 1_000),
                str_repeat('é', 2_000),
                str_repeat('🦜🏽', 1_000),
                str_repeat('9', 2_000),
                str_repeat("e\u{301}", 1_000),
                '1',
                '',
            ] as $words
        ) {
            $said = self::say("[words | $filter$arguments]", $words);
            self::assertNotSame('too-much-work', $said instanceof EvaluationFailure ? $said->reason : '', $words);
            self::assertTrue($said instanceof EvaluationFailure || mb_check_encoding($said->text, 'UTF-8'));
        }
    }

    public function test_checks_look_at_long_chains_without_breaking(): void
    {
        foreach (['upper', 'url', 'replace "a" "aaaaaaaaaa"', 'title', 'sort', 'link'] as $filter) {
            foreach ([38, 60] as $times) {
                self::assertNotContains(
                    'not-looked-at',
                    self::codes('[words'.str_repeat(" | $filter", $times).']'),
                    $filter,
                );
            }
        }
        self::assertContains('too-much-work', self::codes(str_repeat('[words | title | quiet]', 64)));
        self::assertNotContains(
            'too-much-work',
            self::codes('[words | cut 100 | title] [words | sort | join ", " | cut 90]'),
        );
    }

    public function test_a_remainder_stays_between_nothing_and_its_divisor(): void
    {
        self::assertSame('9000000000000000000', (string) self::say('[9000000000000000000 % 9223372036854775807]', ''));
        self::assertSame('-1', (string) self::say('[9223372036854775807 % -2]', ''));
        self::assertSame('0', (string) self::say('[9223372036854775807 % -1]', ''));
    }

    public function test_moments_lie_between_the_years_1_and_9999(): void
    {
        foreach (
            [
                '[until (now + words) | in days]',
                '[now + words]',
                '[now - words | date "y"]',
                '[set occasion.leak to now + words]',
            ] as $source
        ) {
            $said = self::say($source, '999999 weeks');
            self::assertInstanceOf(EvaluationFailure::class, $said, $source);
            self::assertSame('too-far', $said->reason, $source);
        }
        self::assertInstanceOf(EvaluationFailure::class, self::say('[until "9999-12-31T23:00-12:00" | in days]', ''));
        self::assertSame(['9999'], explode(' ', (string) self::say('["9999-12-31" | date "y"]', '')));
    }

    private static function say(string $source, string $words): RenderedResponse|EvaluationFailure
    {
        $world = new SaidIn(
            self::pack(),
            new CompleteView,
            new CannedReadings,
            Moment::fromIso(World::NOW) ?? new Moment(0),
            new KeyedChance('bounds', ''),
            ChatProfile::stream(),
        );
        $said = Response::of($source)->say(
            new EvaluationContext(
                $world,
                Invocation::of(null, $words, '!say', "!say $words"),
                'bounds',
                new PendingReads,
                own: new OwnResponses(new ResponseCache),
            ),
        );
        self::assertNotNull($said);

        return $said;
    }

    /** @return list<string> codes of what checks find */
    private static function codes(string $source): array
    {
        self::assertLessThanOrEqual(Limits::SOURCE, mb_strlen($source));

        return array_map(
            static fn (Finding $finding): string => $finding->kind->code(),
            Checks::ofCommand(Say::on('!say', $source), self::pack()),
        );
    }

    private static function pack(): Pack
    {
        return new Pack(Pack::blank()->channel, occasions: ['leak' => new \SilverParrot\Pack\Occasion('leak')]);
    }
}
