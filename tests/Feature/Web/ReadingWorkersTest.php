<?php

declare(strict_types=1);

namespace Tests\Feature\Web;

use Amp\TimeoutCancellation;
use App\Web\ReadingWorkers;
use PHPUnit\Framework\TestCase;
use SilverParrot\Lookup\Outline\Candidates;
use SilverParrot\Lookup\Outline\Outlines;
use SilverParrot\Lookup\Paths\AnswerFormat;
use SilverParrot\Lookup\Paths\BadAnswer;

/** What is done with answers in processes of their own is what the core does with them, and ends in time. */
final class ReadingWorkersTest extends TestCase
{
    private ReadingWorkers $workers;

    protected function setUp(): void
    {
        $this->workers = new ReadingWorkers;
    }

    protected function tearDown(): void
    {
        $this->workers->end();
    }

    public function test_an_outline_and_the_candidates_are_those_of_the_core(): void
    {
        $within = new TimeoutCancellation(20);
        foreach (
            [
                [AnswerFormat::Json, '{"ports":[{"id":1,"name":"P\u2028"},{"id":2,"name":"ö/b\n"}]}', 'ports[0].id'],
                [AnswerFormat::Json, str_repeat('[', 90).'"deep"'.str_repeat(']', 90), '@'],
                [AnswerFormat::Xml, '<ports><port id="1">Porth</port><port id="2">Quay</port></ports>', '//port/@id'],
                [AnswerFormat::Html, '<ul><li><b>1</b> Porth<li><b>2</b> Quay</ul>', 'li b'],
                [AnswerFormat::Text, "one\ntwo", 'line 1'],
                [AnswerFormat::Json, '', '@'],
            ] as [$format, $body, $path]
        ) {
            try {
                $expected = [Outlines::of($format, $body), Candidates::in($format, $body, $path)];
                self::assertEquals($expected[0], $this->workers->outline($format, $body, $within), $body);
                self::assertEquals($expected[1], $this->workers->candidates($format, $body, $path, $within), $body);
            } catch (BadAnswer $bad) {
                try {
                    $this->workers->outline($format, $body, $within);
                    self::fail("“{$body}” has an outline elsewhere.");
                } catch (BadAnswer $there) {
                    self::assertSame($bad->getMessage(), $there->getMessage());
                }
            }
        }
    }

    public function test_what_takes_too_long_is_ended_and_the_next_is_read(): void
    {
        $large = '<feed>'.str_repeat('<entry><id>1</id></entry>', 60_000).'</feed>';
        self::assertNull($this->workers->outline(AnswerFormat::Xml, $large, new TimeoutCancellation(0.02)));
        self::assertSame([], $this->workers->candidates(
            AnswerFormat::Html,
            $large,
            'id',
            new TimeoutCancellation(0.02),
        ));
        self::assertSame('two', $this->workers->outline(
            AnswerFormat::Json,
            '{"a":"two"}',
            new TimeoutCancellation(20),
        )?->inside[0]->value);
    }
}
