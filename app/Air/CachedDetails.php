<?php

declare(strict_types=1);

namespace App\Air;

use Amp\Cancellation;
use Amp\Future;
use SilverParrot\Lookup\Readings;
use SilverParrot\Lookup\Request;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Value;

use function Amp\async;

/** What the service has said of a channel and its people, kept for a while and then asked anew. */
final class CachedDetails implements Readings
{
    private const CHANNEL_SECONDS = 30.0;

    private const PERSON_SECONDS = 600.0;

    /** People that are kept; whoever was asked for longest ago makes room. */
    private const MOST = 2_000;

    /**
     * @var array<string, array{float, array<string, null|bool|int|string>}> since when and what; by "channel" or
     *     "person login"
     */
    private array $known = [];

    /** @var array<string, Future<array<string, null|bool|int|string>|null>> asked and not answered yet */
    private array $asked = [];

    public function __construct(private readonly Details $service, private readonly string $login)
    {
    }

    public function read(Request $request): null|bool|int|string|Value
    {
        $details = $this->fresh($request);

        return $details === null ? Gap::pending() : self::detail($details, $request);
    }

    /** Asks, once for whoever asks at the same time. */
    public function ask(Request $request, Cancellation $within): null|bool|int|string|Value
    {
        $about = self::about($request);
        // The service is asked for details; whatever else may be asked for, it does not have.
        if ($request->subject !== 'channel' && $request->subject !== 'person') {
            return $request->couldNotBeHad();
        }
        $details = $this->fresh($request);
        if ($details === null) {
            $this->asked[$about] ??= async(
                fn (): ?array => $request->subject === 'channel'
                    ? $this->service->ofChannel($this->login, $within)
                    : $this->service->ofPerson($request->of, $within),
            );
            /** @var array<string, null|bool|int|string>|null $details */
            $details = $this->asked[$about]->await();
            unset($this->asked[$about]);
            $this->keep($about, $details);
        }

        return $details === null ? $request->couldNotBeHad() : self::detail($details, $request);
    }

    /**
     * The channel's details, asked for now.
     *
     * @return array<string, null|bool|int|string>|null
     */
    public function lookAtChannel(Cancellation $within): ?array
    {
        $details = $this->service->ofChannel($this->login, $within);
        $this->keep('channel', $details);

        return $details;
    }

    /** @param  array<string, null|bool|int|string>|null  $details */
    private function keep(string $about, ?array $details): void
    {
        if ($details !== null) {
            unset($this->known[$about]);
            $this->known[$about] = [self::seconds(), $details];
            if (count($this->known) > self::MOST) {
                unset($this->known[array_key_first($this->known)]);
            }
        }
    }

    /** @return array<string, null|bool|int|string>|null */
    private function fresh(Request $request): ?array
    {
        [$since, $details] = $this->known[self::about($request)] ?? [0.0, null];

        $fresh = $request->subject === 'channel' ? self::CHANNEL_SECONDS : self::PERSON_SECONDS;

        return $details !== null && self::seconds() - $since < $fresh ? $details : null;
    }

    /** @param  array<string, null|bool|int|string>  $details */
    private static function detail(array $details, Request $request): null|bool|int|string|Value
    {
        return $details === [] ? $request->couldNotBeHad() : $details[$request->name] ?? null;
    }

    private static function about(Request $request): string
    {
        return $request->subject === 'channel' ? 'channel' : "{$request->subject} {$request->of}";
    }

    /** On a clock that only goes on. */
    private static function seconds(): float
    {
        return hrtime(true) / 1e9;
    }
}
