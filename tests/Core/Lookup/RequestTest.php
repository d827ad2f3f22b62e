<?php

declare(strict_types=1);

namespace Tests\Core\Lookup;

use PHPUnit\Framework\TestCase;
use SilverParrot\Lookup\Request;
use SilverParrot\Memory\QuoteSearch;

final class RequestTest extends TestCase
{
    public function test_equal_requests_have_one_name_and_different_ones_do_not(): void
    {
        $id = static fn (array $arguments, string $of = 'tide'): string => Request::lookup($of, 'high', $arguments)->id;
        self::assertSame($id(['port' => 'cove', 'unit' => 'feet']), $id(['unit' => 'feet', 'port' => 'cove'], 'TIDE'));
        self::assertNotSame($id(['port' => 'cove', 'unit' => 'feet']), $id(['port' => 'cove', 'unit' => 'metres']));
        self::assertNotSame($id(['port' => 'cove']), $id(['port' => 'cove', 'unit' => '']));
        self::assertNotSame(
            $id(['port' => "cove\x1Funit=feet"]),
            $id(['port' => 'cove', 'unit' => 'feet']),
            'what is typed cannot pretend to be another argument',
        );
        $gull = QuoteSearch::words('gull');
        self::assertNotSame(Request::quotes($gull)->id, Request::quoteAt(1, $gull)->id);
        self::assertNotSame(Request::quotes($gull)->id, Request::quotes($gull->by('Odo'))->id);
        self::assertNotSame(Request::top('pebbles', 1)->id, Request::top('pebbles', 11)->id);
    }
}
