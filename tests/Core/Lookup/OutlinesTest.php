<?php

declare(strict_types=1);

namespace Tests\Core\Lookup;

use Harbour\Sources;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use SilverParrot\Lookup\Outline\OutlineNode;
use SilverParrot\Lookup\Outline\Outlines;
use SilverParrot\Lookup\Paths\AnswerFormat;
use SilverParrot\Lookup\Paths\FoundKind;
use Tests\Outside;

/** Values chosen in a tree, and the ways that are written for them. */
final class OutlinesTest extends TestCase
{
    public function test_the_way_to_each_value_of_the_harbours_sources_leads_to_it(): void
    {
        $sources = new Sources;
        $values = 0;
        foreach (
            [
                ['tides/17', AnswerFormat::Json], ['ports?name=p', AnswerFormat::Json],
                ['crew/odo', AnswerFormat::Json],
                ['weather', AnswerFormat::Xml], ['news', AnswerFormat::Xml], ['shop', AnswerFormat::Html],
                ['word', AnswerFormat::Text],
            ] as [$path, $format]
        ) {
            [, , $body] = $sources->answer($path, ['name' => 'p'], Sources::KEY, 1_796_000_000);
            $values += self::mustLead($this, $format, $body);
        }
        self::assertGreaterThan(40, $values);
    }

    public function test_any_number_beside_each_other_is_no_more_work_than_their_number(): void
    {
        $many = 20_000;
        foreach (
            [
                [AnswerFormat::Html, str_repeat('<b class="a">x</b>', $many), 'html > body > b:nth-of-type(2)'],
                [AnswerFormat::Xml, '<r>'.str_repeat('<b>x</b>', $many).'</r>', '/r/b[2]'],
                [AnswerFormat::Json, '['.str_repeat('{"b":"x"},', $many).'{}]', '[1].b'],
            ] as [$format, $body, $second]
        ) {
            $values = array_values(array_filter(
                Outlines::of($format, $body)->all(),
                static fn (OutlineNode $node): bool => $node->value === 'x',
            ));
            self::assertSame($second, $values[1]->path);
            self::assertGreaterThan(Outlines::MOST / 2 - 5, count($values));
            self::assertLessThanOrEqual(Outlines::MOST, count($values));
        }
    }

    public function test_the_way_goes_by_what_tells_entries_apart_and_survives_another_order(): void
    {
        $path = static function (AnswerFormat $format, string $body, string $value): string {
            foreach (Outlines::of($format, $body)->all() as $node) {
                if ($node->value === $value) {
                    return $node->path;
                }
            }

            return '';
        };
        $tides = [['kind' => 'low', 'at' => '8:05'], ['kind' => 'high', 'at' => '14:20']];
        $way = $path(AnswerFormat::Json, (string) json_encode(['tides' => $tides]), '14:20');
        self::assertSame("tides[?kind=='high'] | [0].at", $way);
        $turned = AnswerFormat::Json->read((string) json_encode(['tides' => array_reverse($tides)]));
        self::assertSame('14:20', $turned->at($way)[0]->text);
        // What comes in groups goes by those; what is another tomorrow tells nothing.
        $next = [['at' => '2026-11-30T08:05:00Z', 'kind' => 'low'], ...$tides, ['at' => '9', 'kind' => 'high']];
        self::assertSame("[?kind=='high'] | [1].at", $path(AnswerFormat::Json, (string) json_encode($next), '9'));
        self::assertSame('[1].m', $path(AnswerFormat::Json, '[{"at":"14:20","m":4.1},{"at":"20:31","m":0.5}]', '0.5'));
        // Nothing tells these apart but their place.
        self::assertSame('[1].a', $path(AnswerFormat::Json, '[{"a":"x"},{"a":"y"},{"a":"x"}]', 'y'));
        self::assertSame('"a b"."ü"', $path(AnswerFormat::Json, '{"a b":{"ü":"z"}}', 'z'));
        self::assertSame('[?id==`2`] | [0].n', $path(AnswerFormat::Json, '[{"id":1,"n":"x"},{"id":2,"n":"y"}]', 'y'));
        self::assertSame(
            '/feed/entry[title="Keel"]/link/@href',
            $path(
                AnswerFormat::Xml,
                '<feed><entry><title>Keel</title><link href="k"/></entry><entry><title>Ribs</title></entry></feed>',
                'k',
            ),
        );
        self::assertSame(
            'html > body > table > tr[data-id="rope"] > td.price',
            $path(
                AnswerFormat::Html,
                '<table><tr data-id="lantern"><td>L<td class="price">42</tr><tr data-id="rope"><td>R<td class="price">3'
                    .'</table>',
                '3',
            ),
        );
        self::assertSame('#now > b', $path(AnswerFormat::Html, '<div><p id="now">It is <b>high</b></p></div>', 'high'));
        self::assertSame('between "means: " and "\n"', $path(AnswerFormat::Text, "word: a\nmeans: b\n", 'b'));
    }

    public function test_the_way_to_any_value_leads_to_it(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(21));
        $values = 0;
        for ($times = Outside::rounds(400, 10_000); $times > 0; $times--) {
            $values += self::mustLead(
                $this,
                AnswerFormat::Json,
                (string) json_encode(self::json($random, 3), JSON_INVALID_UTF8_SUBSTITUTE),
            );
            $values += self::mustLead($this, AnswerFormat::Xml, '<r>'.self::markup($random, 3).'</r>');
            $values += self::mustLead($this, AnswerFormat::Html, '<body>'.self::markup($random, 3));
        }
        self::assertGreaterThan(3_000, $values);
    }

    /** @return int values whose ways were gone */
    private static function mustLead(TestCase $test, AnswerFormat $format, string $body): int
    {
        $paths = $format->read($body);
        $values = array_filter(
            Outlines::of($format, $body)->all(),
            static fn (OutlineNode $one): bool => $one->kind !== 'nothing' && ($one->value ?? '') !== '',
        );
        foreach ($values as $node) {
            $found = $paths->at($node->path)[0] ?? null;
            if ($found?->kind === FoundKind::Part) {
                continue;
            }
            $test::assertSame(
                trim((string) $node->value),
                trim(mb_substr($found->text ?? '', 0, Outlines::SHOWN)),
                "{$node->path} in $body",
            );
        }

        return count($values);
    }

    private static function json(Randomizer $random, int $deep): mixed
    {
        $words = ['a', 'b c', "d'e", 'f"g', 'h\\i', 'ü', '', '1', 'Porth'];
        $word = $words[$random->getInt(0, count($words) - 1)];
        if ($deep === 0 || $random->getInt(0, 3) === 0) {
            return [$word, $random->getInt(-5, 5), 0.5, true, null][$random->getInt(0, 4)];
        }
        $inside = [];
        $isList = $random->getInt(0, 1) === 0;
        for ($many = $random->getInt(0, 3); $many > 0; $many--) {
            $isList
                ? $inside[] = ['id' => $words[$random->getInt(0, 8)], 'v' => self::json($random, $deep - 1)]
                : $inside[$words[$random->getInt(0, 8)]] = self::json($random, $deep - 1);
        }

        return $inside;
    }

    private static function markup(Randomizer $random, int $deep): string
    {
        $text = '';
        for ($many = $random->getInt(1, 3); $many > 0; $many--) {
            $tag = ['div', 'b', 'section'][$random->getInt(0, 2)];
            $has = ['', ' class="x y"', ' id="i'.$random->getInt(0, 99).'"', ' data-k="v'.$random->getInt(0, 2).'"'];
            $text .= "<$tag{$has[$random->getInt(0, 3)]}>"
                .($deep === 0 || $random->getInt(0, 2) === 0
                    ? 'w'.$random->getInt(0, 9)
                    : self::markup($random, $deep - 1))
                ."</$tag>";
        }

        return $text;
    }
}
