<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

use SilverParrot\Value\Gap;
use SilverParrot\Value\Value;

use function array_key_exists;

/** Results given beforehand, for rehearsal; the rest of the outside is down. */
final readonly class CannedReadings implements Readings, TellsOrigins
{
    /**
     * @param  array<string, null|bool|int|string|Value>  $results by request id, or by its part before the arguments
     */
    public function __construct(private array $results = [], private bool $restIsDown = true)
    {
    }

    public function read(Request $request): null|bool|int|string|Value
    {
        $id = $request->id;
        if (array_key_exists($id, $this->results)) {
            return self::value($this->results[$id]);
        }
        if ($request->arguments !== [] && array_key_exists($plain = explode("\x1F", $id)[0], $this->results)) {
            return self::value($this->results[$plain]);
        }

        return $this->restIsDown ? $request->couldNotBeHad() : Gap::pending();
    }

    public function originOf(Request $request): ?ReadingOrigin
    {
        $kept = $this->results[MemoizedReadings::ORIGIN.$request->id] ?? null;

        return is_string($kept) ? ReadingOrigin::fromKept($kept) : null;
    }

    private static function value(null|bool|int|string|Value $result): null|bool|int|string|Value
    {
        return is_string($result) ? KeptReading::value($result) : $result;
    }
}
