<?php

declare(strict_types=1);

namespace Tests\Air;

use Amp\TimeoutCancellation;
use App\Air\Details;
use App\Air\ServiceWeb;
use PHPUnit\Framework\TestCase;

final class DetailsTest extends TestCase
{
    /** A line waits three seconds at most for what it asks; twice that is allowed for here. */
    public function test_a_service_that_lets_nobody_in_has_no_details_at_once(): void
    {
        $began = hrtime(true);
        $details = new Details(new ServiceWeb('127.0.0.1:1'));
        self::assertNull($details->ofChannel('lantern_cove', new TimeoutCancellation(3)));
        self::assertLessThan(6e9, hrtime(true) - $began);
    }
}
