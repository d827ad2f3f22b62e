<?php

declare(strict_types=1);

namespace Tests\Core\Memory;

use PHPUnit\Framework\TestCase;
use SilverParrot\Memory\RunningStream;
use SilverParrot\Pack\Counted;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\Reset;
use SilverParrot\Value\Moment;

final class RunningStreamTest extends TestCase
{
    public function test_a_stream_ends_when_it_is_offline_or_gone_for_longer_than_two_minutes(): void
    {
        $state = null;
        $numbers = [];
        // Seconds, what the service says, the number afterwards, and whether the stream is on.
        foreach (
            [
                [0, false, 0, false],
                [10, true, 1, true],
                [20, true, 1, true],
                [130, null, 1, true],
                [139, true, 1, true],
                [140, false, 1, false],
                [150, null, 1, false],
                [160, true, 2, true],
                [280, null, 2, true],
                [281, null, 2, false],
                [300, true, 3, true],
                [500, true, 4, true],
            ] as [$seconds, $isLive, $number, $isOn]
        ) {
            $change = RunningStream::look($state, $isLive, new Moment($seconds * 1000));
            $state = $change === null ? $state : $change->to;
            $numbers[] = [$seconds, $number, $isOn];
            self::assertSame(
                [$number === 0 ? 'stream 0' : "stream $number", $isOn],
                [RunningStream::period($state), is_array($state) && ($state['on'] ?? false) === true],
                "after $seconds s",
            );
        }
        self::assertNull(RunningStream::look($state, null, new Moment(510_000)), 'nothing to keep when nothing is new');
    }

    public function test_a_count_of_another_stream_is_not_read_on(): void
    {
        $counter = new Counter('tonight', start: 2, reset: Reset::Stream);
        $kept = Counted::kept($counter, 9, 'stream 4');
        self::assertSame(
            [9, 2, 2],
            [
                Counted::number($counter, $kept, 'stream 4'),
                Counted::number($counter, $kept, 'stream 5'),
                Counted::number($counter, null, 'stream 5'),
            ],
        );
        // An author who takes the reset away keeps the number, and one who adds it too.
        self::assertSame(
            [9, 7],
            [Counted::number(new Counter('tonight'), $kept, ''), Counted::number($counter, 7, 'stream 5')],
        );
    }
}
