<?php

declare(strict_types=1);

namespace App\Air;

use Amp\TimeoutCancellation;
use SilverParrot\Lookup\Request;
use SilverParrot\Lookup\Web;
use SilverParrot\Memory\Ranking;
use SilverParrot\Value\ListValue;
use SilverParrot\Value\Value;

use function Amp\async;

/** The outside for one line: whatever it asks must come within one deadline. Other lines go on meanwhile. */
final class LiveReadings implements Web
{
    private const SECONDS = 3.0;

    private ?TimeoutCancellation $within = null;

    public function __construct(private readonly CachedDetails $details, private readonly Ranking $ranking)
    {
    }

    public function readings(array $requests): array
    {
        $within = $this->within ??= new TimeoutCancellation(self::SECONDS);
        $asked = [];
        foreach ($requests as $request) {
            $asked[$request->id] = async(
                fn (): null|bool|int|string|Value => $request->subject === 'top'
                    ? $this->top($request)
                    : $this->details->ask($request, $within),
            );
        }

        $readings = [];
        foreach ($asked as $id => $answer) {
            /** @var null|bool|int|string|Value $reading */
            $reading = $answer->await();
            $readings[$id] = $reading;
        }

        return $readings;
    }

    private function top(Request $request): ListValue
    {
        $best = $this->ranking->top($request->name, (int) $request->of);

        return new ListValue(array_column($best, 0), array_column($best, 1));
    }
}
