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
            new Candidate('17', ['name' => 'Porth', 'open' => 'true']),
            new Candidate('18', ['name' => 'Porth Wen', 'open' => 'false']),
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
        $three = [new Candidate('17', ['name' => 'Porth']), new Candidate('18', ['name' => 'Porth Wen'])];
        self::assertEquals($three, self::of(AnswerFormat::Xml, $xml, '/ports/port[1]/@id'));
        self::assertEquals(
            [new Candidate('Porth', ['id' => '17']), new Candidate('Porth Wen', ['id' => '18'])],
            self::of(AnswerFormat::Xml, $xml, '/ports/port[1]/name'),
        );
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
        return Candidates::in(Outlines::of($format, $body), $path);
    }
}
