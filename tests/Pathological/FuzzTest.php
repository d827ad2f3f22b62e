<?php

declare(strict_types=1);

namespace Tests\Pathological;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Format\PackFormat;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Rehearsal\ChatFile;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Response\Response;
use SilverParrot\Response\Segments;
use SilverParrot\Value\Moment;
use Tests\Core\Response\CaseFile;
use Tests\Core\Response\World;
use Tests\Outside;

/** Whatever people type: no uncaught error, every span within the text, nothing read twice. Seeds are fixed. */
final class FuzzTest extends TestCase
{
    private const PIECES = [
        '[',
        ']',
        '[[',
        '[caller]',
        '[target or "x"]',
        '[words]',
        '[when ',
        '[else]',
        '[end]',
        '[add ',
        ' to counter.planks',
        '| upper',
        '| cut 3',
        ' or ',
        ' and ',
        ' not ',
        ' is ',
        ' is one of ',
        ' < ',
        '+',
        '-',
        '*',
        '/',
        '%',
        '(',
        ')',
        '"',
        '“',
        '”',
        '""',
        ',',
        '=',
        '.',
        '0',
        '1',
        '2.5',
        '999999999999999',
        'roll 1 to 6',
        'either "a", "b"',
        'list.knots',
        'list.tools',
        'counter.splinters.total',
        'fact.trap',
        'since occasion.leak',
        ' as x',
        'x',
        ' for target',
        'word 1',
        'words 2 to 3',
        'nothing',
        'yes',
        "\n",
        "\t",
        ' ',
        'é',
        '😀',
        "\u{200B}",
        "\xFF",
        "\u{202E}",
        '[set caller.boat to words]',
        '| plural "#" "#s"',
        '| in days',
        '| default ',
        '| quiet',
        '/',
        '.',
        '[take 1 from caller.pebbles]',
    ];

    public function test_any_heap_of_pieces_is_read_and_said_without_an_error(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(20261125));
        $rounds = Outside::rounds(6_000, 400_000);
        for ($i = 0; $i < $rounds; $i++) {
            $source = '';
            for ($pieces = $random->getInt(1, 25); $pieces > 0; $pieces--) {
                $source .= self::PIECES[$random->getInt(0, count(self::PIECES) - 1)];
            }
            $this->survives($source, $random->getInt(0, 3) === 0 ? '@odo 5 [caller]' : '/x');
        }
        self::assertSame($rounds, $i);
    }

    public function test_every_language_case_with_a_few_slips_of_the_fingers_survives(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(7));
        $sources = [];
        foreach (glob(dirname(__DIR__).'/Core/Response/language/*.test') ?: [] as $file) {
            foreach (CaseFile::read($file) as $case) {
                $sources[] = $case['source'];
            }
        }
        $rounds = Outside::rounds(10, 400);
        foreach ($sources as $source) {
            for ($i = 0; $i < $rounds; $i++) {
                $bytes = $source;
                for ($slips = $random->getInt(1, 3); $slips > 0 && $bytes !== ''; $slips--) {
                    $at = $random->getInt(0, strlen($bytes) - 1);
                    $bytes = match ($random->getInt(0, 3)) {
                        0 => substr($bytes, 0, $at).substr($bytes, $at + 1),
                        1 => substr($bytes, 0, $at).chr($random->getInt(32, 126)).substr($bytes, $at),
                        2 => substr($bytes, 0, $at).$bytes[$at].substr($bytes, $at),
                        default => strrev(substr($bytes, 0, $at)).substr($bytes, $at),
                    };
                }
                $this->survives($bytes, 'odo 3');
            }
        }
        self::assertGreaterThan(150, count($sources));
    }

    public function test_hostile_strings_are_said_as_they_are_or_not_at_all(): void
    {
        foreach (Outside::hostileStrings() as $string) {
            $this->survives($string, $string);
            $this->survives('[words]', $string);
            self::assertSame([], PackFormat::read($string)[0]->commands);
            ChatFile::read("+1s odo: $string\n# $string: vip\n$string");
        }
        self::assertGreaterThan(400, count(Outside::hostileStrings()));
    }

    public function test_deep_long_and_wide_texts_end_in_a_finding(): void
    {
        $cases = [
            'too-long' => str_repeat('[', 100_000),
            'too-deep' => '['.str_repeat('(', 200).'1'.str_repeat(')', 200).']',
            'too-many-slots' => str_repeat('[caller]', 70),
            'when-not-closed' => str_repeat('[when 1]', 60),
            'slot-not-closed' => str_repeat('[a ', 600),
            'unknown-name' => '['.str_repeat('x', 1990).']',
            'unexpected' => '['.str_repeat('9', 1900).']',
        ];
        foreach ($cases as $code => $source) {
            $codes = array_map(
                static fn ($finding): string => $finding->kind->code(),
                Response::of($source)->findings(World::pack()),
            );
            self::assertNotSame([], $codes, $code);
            if (! in_array($code, ['unknown-name'], true)) {
                self::assertContains($code, $codes);
            }
            $this->survives($source, str_repeat('w', 3000));
        }
        $this->survives(str_repeat('[when 1]', 15).'deep'.str_repeat('[end]', 15), '');
        self::assertNotSame(
            [],
            Response::of(str_repeat('[when 1]', 17).'x'.str_repeat('[end]', 17))->findings(World::pack()),
        );
    }

    public function test_what_is_said_before_it_is_fitted_is_bounded(): void
    {
        $outcome = $this->survives('[words]'.str_repeat('[words as a][a][a][a][a]', 1), str_repeat('ahoy ', 390));
        self::assertSame('too-much-said', $outcome->failed?->reason);
    }

    private function survives(string $source, string $words): \SilverParrot\Hearing\Outcome
    {
        $response = Response::of($source);
        $length = mb_strlen($response->text);
        foreach ($response->findings(World::pack()) as $finding) {
            self::assertNotNull($finding->span, $source);
            self::assertGreaterThanOrEqual(0, $finding->span->from);
            self::assertLessThanOrEqual($length, $finding->span->to, $source.' '.$finding->kind->code());
            self::assertLessThanOrEqual($finding->span->to, $finding->span->from, $source);
            self::assertNotSame('', $finding->sentence());
            self::assertDoesNotMatchRegularExpression(
                '/\{[a-z]+\}/',
                str_replace($source, '', $finding->sentence().$finding->mend()),
            );
        }
        self::assertSame(
            $response->text,
            implode('', array_column(Segments::of($source), 0)),
            'segments are the whole text',
        );
        $pack = World::pack()->withCommand(Say::on('!say', $source)->gated(Cooldown::none()));
        $rehearsal = new Rehearsal($pack, World::situation($pack), '1', ChatProfile::stream());
        $outcome = $rehearsal->line('e', World::people()[0]->person(), "!say $words", new Moment(1_795_597_200_000));
        foreach ($outcome->texts() as $text) {
            self::assertLessThanOrEqual(500, mb_strlen($text));
            self::assertSame(1, preg_match('//u', $text));
            self::assertDoesNotMatchRegularExpression('/[\x00-\x1F\x7F]/', $text);
        }
        if ($outcome->failed !== null) {
            self::assertSame([], $outcome->authoredChanges());
        }
        foreach ($outcome->authoredChanges() as $change) {
            // 99 stands in a fact and in no response: whoever sees it added has read a text twice.
            self::assertNotSame(102, $change->to, $source);
        }

        return $outcome;
    }
}
