<?php

declare(strict_types=1);

namespace Tests\Core\Lookup;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use SilverParrot\Lookup\Outline\Candidate;
use SilverParrot\Lookup\Outline\Candidates;
use SilverParrot\Lookup\Outline\Outlines;
use SilverParrot\Lookup\Paths\AnswerFormat;

final class CandidatesTest extends TestCase
{
    public function test_the_entries_of_which_a_path_takes_one_stand_with_what_tells_them_apart(): void
    {
        $json = '{"total":2,"found":{"ports":[{"id":17,"name":"Porth","at":{"x":1},"open":true},'
            .'{"id":18,"name":"Porth Wen","coast":"","open":false},{"name":"nameless"}]}}';
        $two = [
            new Candidate('17', [['name', 'Porth'], ['open', 'true']]),
            new Candidate('18', [['name', 'Porth Wen'], ['open', 'false']]),
        ];
        foreach (
            [
                'found.ports[0].id',
                "found.ports[?name=='Porth'] | [0].id",
                'found.ports[]."id"',
                'found.ports[-1].id',
            ] as $path
        ) {
            self::assertEquals($two, self::of(AnswerFormat::Json, $json, $path), $path);
        }
        self::assertSame([], self::of(AnswerFormat::Json, $json, 'found.ports[0].depth'));
        self::assertSame([], self::of(AnswerFormat::Json, $json, '@'));
        $xml = '<ports><port id="17"><name>Porth</name></port><port id="18"><name>Porth Wen</name></port></ports>';
        $three = [new Candidate('17', [['name', 'Porth']]), new Candidate('18', [['name', 'Porth Wen']])];
        self::assertEquals($three, self::of(AnswerFormat::Xml, $xml, '/ports/port[1]/@id'));
        self::assertEquals(
            [new Candidate('Porth', [['id', '17']]), new Candidate('Porth Wen', [['id', '18']])],
            self::of(AnswerFormat::Xml, $xml, '/ports/port[1]/name'),
        );
    }

    public function test_on_a_page_they_stand_in_rows_and_entries_beside_the_one_that_was_clicked(): void
    {
        $page = '<table id="ports"><thead><tr><th>No.</th><th>Port</th><th>Coast</th></tr></thead><tbody>'
            .'<tr><td class="n">17</td><td><a href="/17">Porth</a></td><td>west</td></tr>'
            .'<tr><td class="n">18</td><td><a href="/18">Porth Wen</a></td><td></td></tr>'
            .'<tr><td colspan="3">and more</td></tr></tbody></table><p>Updated <b>daily</b></p>';
        $two = [
            new Candidate('17', [['', 'Porth'], ['Coast', 'west']]),
            new Candidate('18', [['', 'Porth Wen']]),
        ];
        self::assertEquals($two, self::of(AnswerFormat::Html, $page, 'td.n'));
        $rows = '#ports > tbody > tr:nth-of-type';
        self::assertEquals(
            [new Candidate('/17', [['No.', '17'], ['', 'Porth'], ['Coast', 'west']]), '/18'],
            [
                self::of(AnswerFormat::Html, $page, "$rows(1) > td:nth-of-type(2) > a @href")[0],
                self::of(AnswerFormat::Html, $page, "$rows(2) > td:nth-of-type(2) > a @href")[1]->value,
            ],
        );
        $list = '<ul><li><b>Porth</b><i>17</i></li><li><b>Porth Wen</b><i>18</i></li><li><b>Quay</b></li></ul>';
        self::assertEquals(
            [new Candidate('17', [['', 'Porth']]), new Candidate('18', [['', 'Porth Wen']])],
            self::of(AnswerFormat::Html, $list, 'li:nth-of-type(2) > i'),
        );
        // Columns are no entries, however few rows there are.
        $row = '<table><tr><td>17<td>Porth<td>west<tr><td>18<td>Quay<td>east</table>';
        self::assertSame(
            ['17', '18'],
            array_column(self::of(AnswerFormat::Html, $row, 'tr:nth-of-type(1) > td:nth-of-type(1)'), 'value'),
        );
        self::assertEquals([new Candidate('daily', [['', 'Updated']])], self::of(AnswerFormat::Html, $page, 'p b'));
        foreach (['', 'td.depth', 'td[', '@href', 'p > b >'] as $path) {
            self::assertSame([], self::of(AnswerFormat::Html, $page, $path), $path);
        }
    }

    public function test_whatever_is_clicked_on_a_page_is_among_its_own_candidates(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(20261201));
        for ($round = 0; $round < 100; $round++) {
            $page = '<main>';
            for ($times = $random->getInt(1, 40); $times > 0; $times--) {
                $tag = ['ul', 'li', 'p', 'td', 'tr', 'table', 'b', 'div'][$random->getInt(0, 7)];
                $page .= $random->getInt(0, 2) > 0 ? "<$tag title=t>v{$random->getInt(1, 99)}" : "</$tag>";
            }
            foreach (Outlines::of(AnswerFormat::Html, $page)->all() as $node) {
                if ($node->value === null || $node->path === '') {
                    continue;
                }
                $found = self::of(AnswerFormat::Html, $page, $node->path);
                self::assertContains($node->value, array_column($found, 'value'), "$page: {$node->path}");
                self::assertLessThanOrEqual(Candidates::MOST, count($found));
            }
        }
    }

    public function test_whatever_comes_there_are_so_many_and_none_without_a_value(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(20261130));
        for ($round = 0; $round < 300; $round++) {
            $entries = [];
            for ($times = $random->getInt(0, 60); $times > 0; $times--) {
                $entry = [];
                foreach (['id', 'name', 'a', 'b', 'c', 'd', 'e', 'f'] as $key) {
                    if ($random->getInt(0, 2) > 0) {
                        $entry[$key] = [null, '', 'x', 7, 1.5, [], ['id' => 1]][$random->getInt(0, 6)];
                    }
                }
                $entries[] = $entry;
            }
            $found = self::of(AnswerFormat::Json, (string) json_encode(['found' => $entries]), 'found[0].id');
            self::assertLessThanOrEqual(Candidates::MOST, count($found));
            foreach ($found as $one) {
                self::assertNotSame('', $one->value);
                self::assertLessThanOrEqual(5, count($one->tells));
            }
        }
    }

    /** @return list<Candidate> */
    private static function of(AnswerFormat $format, string $body, string $path): array
    {
        return Candidates::in($format, $body, $path);
    }
}
