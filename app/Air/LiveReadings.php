<?php

declare(strict_types=1);

namespace App\Air;

use Amp\TimeoutCancellation;
use App\Web\WebLookups;
use SilverParrot\Lookup\SearchedReadings;
use SilverParrot\Lookup\Web;
use SilverParrot\Value\Value;

use function Amp\async;

/** The outside for one line: whatever it asks must come within one deadline. Other lines go on meanwhile. */
final class LiveReadings implements Web
{
    private const SECONDS = 3.0;

    private ?TimeoutCancellation $within = null;

    public function __construct(
        private readonly CachedDetails $details,
        private readonly SearchedReadings $searched,
        private readonly WebLookups $lookups,
    ) {
    }

    public function readings(array $requests): array
    {
        $within = $this->within ??= new TimeoutCancellation(self::SECONDS);
        $asked = [];
        foreach ($requests as $request) {
            $asked[$request->id] = async(
                fn (): null|bool|int|string|Value => match (true) {
                    $this->searched->has($request) => $this->searched->read($request),
                    $request->subject === 'lookup' => $this->lookups->ask($request, $within),
                    default => $this->details->ask($request, $within),
                },
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
}
