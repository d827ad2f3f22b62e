<?php

declare(strict_types=1);

namespace App\Web;

use Amp\Cancellation;
use DateTimeZone;
use Illuminate\Database\Connection;
use SilverParrot\Lookup\Address\WebAddress;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\CannedAnswers;
use SilverParrot\Lookup\Freshness;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\Parameters\Parameter;
use SilverParrot\Lookup\ReadAnswer;
use SilverParrot\Lookup\ReadingOrigin;
use SilverParrot\Lookup\Readings;
use SilverParrot\Lookup\Request;
use SilverParrot\Lookup\TellsOrigins;
use SilverParrot\Lookup\Trouble;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Moment;
use SilverParrot\Value\TimeSpan;
use SilverParrot\Value\Value;

/**
 * Readings of what the web says to one channel: those at hand, else of what is kept or asked for. All that may go wrong
 * is a gap with its reason.
 */
final class WebLookups implements Readings, TellsOrigins
{
    /** Answers whose readings are at hand; what was needed longest ago makes room. */
    private const MOST = 200;

    /** Milliseconds within which an answer has just come. */
    private const JUST_NOW = 2_000;

    /** For which an answer from before is taken once more, while its source is down. */
    private const STALE_SECONDS = 10;

    /**
     * @var array<string, array{ReadAnswer, Moment, int, int}> what was read, when it came, until when it is fresh, and
     *     the milliseconds until it was here; by what is asked
     */
    private array $known = [];

    public ?Pack $pack = null;

    public function __construct(private readonly LookupFetcher $fetcher, private readonly ReadingWorkers $workers)
    {
    }

    public static function of(
        Connection $connection,
        int $channel,
        WebClient $web = new WebClient,
        ReadingWorkers $workers = new ReadingWorkers,
    ): self {
        return new self(LookupFetcher::of($connection, $channel, $web), $workers);
    }

    /** @return bool|int|string|Value a pending gap where it has to be asked */
    public function read(Request $request): bool|int|string|Value
    {
        $asked = $this->question($request);
        if ($asked instanceof Gap) {
            return $asked;
        }
        $known = $this->known[$asked->key] ?? null;

        return $known === null || $known[2] <= self::now()->millis
            ? Gap::pending()
            : $this->reading($asked->lookup, $request->of, $known[0]->values, $known[1]);
    }

    public function ask(Request $request, Cancellation $within): bool|int|string|Value
    {
        $asked = $this->question($request);
        if ($asked instanceof Gap) {
            return $asked;
        }
        $known = $this->read($request);
        if (! $known instanceof Gap || ! $known->isPending()) {
            return $known;
        }
        $began = hrtime(true);
        $answer = $this->fetcher->answer($asked, $within);
        if ($answer instanceof Trouble) {
            return $answer->gap($asked->lookup);
        }
        $read = $this->know($asked, $answer, (int) ((hrtime(true) - $began) / 1e6), $within);

        return $this->reading($asked->lookup, $request->of, $read->values, $answer->at);
    }

    public function originOf(Request $request): ?ReadingOrigin
    {
        $asked = $request->subject === 'lookup' ? $this->question($request) : null;
        $known = $asked instanceof AskedAddress ? $this->known[$asked->key] ?? null : null;
        if ($known === null) {
            return null;
        }
        $age = max(0, self::now()->millis - $known[1]->millis);

        return new ReadingOrigin(
            $age > self::JUST_NOW ? ReadingOrigin::KEPT : ReadingOrigin::ASKED,
            intdiv($age, 1_000),
            $known[3],
            $known[0]->raw[$request->of] ?? '',
        );
    }

    /**
     * Before anybody needs it: asked where what is kept has reached its age.
     *
     * @param  int  $age  seconds
     */
    public function askAhead(Request $request, int $age, Cancellation $within): void
    {
        $asked = $this->question($request);
        $began = hrtime(true);
        $answer = $asked instanceof AskedAddress ? $this->fetcher->ahead($asked, $age, $within) : null;
        if ($asked instanceof AskedAddress && $answer !== null) {
            $this->know($asked, $answer, (int) ((hrtime(true) - $began) / 1e6), $within);
        }
    }

    /**
     * Asked now, whatever is kept: for whoever makes a look-up, which need not be saved yet.
     *
     * @param  array<string, string>  $arguments  by name
     * @param  array<string, string>  $typed  secrets that are not saved either, by what they are kept under
     */
    public function askNow(Lookup $lookup, array $arguments, Cancellation $within, array $typed = []): Answer|Trouble
    {
        $asked = AskedAddress::of($lookup, $arguments);

        return $asked instanceof AskedAddress ? $this->fetcher->afresh($asked, $within, $typed) : Trouble::NotAllowed;
    }

    /** Read, and at hand from now on. What says no is not: the next one asks again. */
    private function know(AskedAddress $asked, Answer $answer, int $took, Cancellation $within): ReadAnswer
    {
        $read = $this->workers->read($asked->lookup, $answer, $this->zone(), $within);
        $this->fetcher->record($asked, $answer, $read);
        unset($this->known[$asked->key]);
        if ($answer->status < 200 || $answer->status > 299) {
            return $read;
        }
        $fresh = $answer->at->plusMillis($asked->lookup->keep->seconds(Freshness::seconds($answer)) * 1_000)->millis;
        $now = self::now()->millis;
        if ($now - $answer->at->millis > self::JUST_NOW) {
            // It stands in for one that did not come: not every line asks anew.
            $fresh = max($fresh, $now + self::STALE_SECONDS * 1_000);
        }
        $this->known[$asked->key] = [$read, $answer->at, $fresh, max(1, $took)];
        if (count($this->known) > self::MOST) {
            unset($this->known[array_key_first($this->known)]);
        }

        return $read;
    }

    private function question(Request $request): AskedAddress|Gap
    {
        $lookup = $this->pack->lookups[$request->name] ?? null;
        if ($lookup === null) {
            return $request->couldNotBeHad();
        }
        $asked = AskedAddress::of($lookup, $request->arguments);

        return $asked instanceof Parameter
            ? $asked->refusal($request->arguments[$asked->name] ?? '')
            : $asked;
    }

    /** @param  array<string, bool|int|string|Value>  $readings */
    private function reading(Lookup $lookup, string $name, array $readings, Moment $at): bool|int|string|Value
    {
        if ($name === CannedAnswers::AGE) {
            return TimeSpan::between($at, self::now()) ?? new Gap(GapReason::LookupMissing, ['name' => $name]);
        }

        return $readings[Fold::caseless($name)] ?? new Gap(GapReason::Unknown, [
            'name' => "lookup.{$lookup->name}.$name",
        ]);
    }

    private function zone(): DateTimeZone
    {
        return $this->pack->channel->zone ?? new DateTimeZone('UTC');
    }

    /** The host of a look-up, whatever its parameters are: it is always written out. */
    public static function hostOf(Lookup $lookup): string
    {
        return self::host($lookup->address->filled([]));
    }

    /** The host that an address asks, as it is allowed; empty for what is no address. */
    public static function host(string $address): string
    {
        $judged = WebAddress::of($address, anyPort: true, known: [WebClient::HARBOUR]);

        return $judged instanceof WebAddress ? $judged->allowedAs() : '';
    }

    private static function now(): Moment
    {
        return Moment::of(now());
    }
}
