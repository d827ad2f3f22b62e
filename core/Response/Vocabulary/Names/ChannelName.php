<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Names;

use Closure;
use SilverParrot\Lookup\Request;
use SilverParrot\Pack\NotedNumbers;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\Many;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Name;
use SilverParrot\Response\Vocabulary\Remembering;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\ListValue;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Range;
use SilverParrot\Value\TimeSpan;
use SilverParrot\Value\Value;

final readonly class ChannelName extends Name implements Remembering
{
    /** What the streaming service says of the channel. */
    private const DETAILS = [
        'title',
        'category',
        'tags',
        'viewers',
        'followers',
        'subscribers',
        'guests',
        'live',
        'started',
        'link',
        'next',
    ];

    private const COUNTS = ['viewers', 'followers', 'subscribers'];

    /** What was noted when the stream began, and what came since. */
    private const NOTED = ['at_start', 'gained'];

    private const PARTS = ['name', ...self::DETAILS, 'uptime'];

    private const TELLS = [
        'name' => ['a text', 'The channel’s name.'],
        'title' => ['a text', 'What the stream is called.'],
        'category' => ['a text', 'What the stream is busy with.'],
        'tags' => ['a list', 'The stream’s tags.'],
        'viewers' => ['a whole number', 'How many watch now.'],
        'followers' => ['a whole number', 'How many follow the channel.'],
        'subscribers' => ['a whole number', 'How many subscribe to it.'],
        'guests' => ['a list', 'Who streams along.'],
        'live' => ['yes or no', 'Whether the stream is on.'],
        'started' => ['a moment', 'When the stream began; nothing while offline.'],
        'uptime' => ['a span', 'How long the stream has been on; nothing while offline.'],
        'link' => ['a text', 'The channel’s address.'],
        'next' => ['a moment', 'When the next stream is planned.'],
    ];

    /** @var array<string, Request> by detail; the same in every line */
    private array $requests;

    public function __construct()
    {
        $requests = [];
        foreach (self::DETAILS as $detail) {
            $requests[$detail] = Request::channel($detail);
        }
        $this->requests = $requests;
    }

    public function describe(): Description
    {
        return new Description(
            'channel',
            '',
            'what the part is',
            'We are busy with [channel.category].',
            'The channel: its name, and what the streaming service says of it now; behind a count, .gained is what '
                .'came since the stream began.',
            parts: self::PARTS,
            tells: self::TELLS,
            also: ['stream'],
        );
    }

    public function check(Call $call, Pack $pack): array
    {
        if (isset($call->path[2]) && in_array($call->folded[1], self::COUNTS, true)) {
            return isset($call->path[3]) || ! in_array($call->folded[2], self::NOTED, true)
                ? [Checking::unknownPart($call, 2, self::NOTED)]
                : Checking::takesNothing($call);
        }

        return isset($call->path[2]) || (isset($call->path[1]) && ! in_array($call->folded[1], self::PARTS, true))
            ? [Checking::unknownPart($call, isset($call->path[2]) ? 2 : 1, self::PARTS)]
            : Checking::takesNothing($call);
    }

    public function estimate(Call $call, EstimateContext $in): ValueEstimate
    {
        $part = $call->folded[1] ?? 'name';
        if ($part === 'name') {
            return ValueEstimate::written($in->pack->channel->name);
        }
        if (isset($call->path[2])) {
            return ValueEstimate::whole(new Range(-Limits::COUNTER, Limits::COUNTER))
                ->orNothing()
                ->orGap(GapReason::DetailsDown);
        }
        $estimate = match ($part) {
            'title', 'category', 'link' => ValueEstimate::text(0, $in->longestDetail($part)),
            'tags', 'guests' => ValueEstimate::items(
                Many::divided(ValueEstimate::text(1, Limits::READING)),
                $in->lengths->joint(),
            ),
            'viewers', 'followers', 'subscribers' => ValueEstimate::whole(Range::ofACount()),
            'live' => $in->lengths->yesNo(),
            'started', 'next' => $in->lengths->moment(),
            'uptime' => $in->lengths->timeSpan(),
            default => ValueEstimate::nothing()->orGap(GapReason::Unknown),
        };

        return $estimate->orNothing()->orGap(GapReason::DetailsDown);
    }

    public function prepared(Call $call): Closure
    {
        $part = $call->folded[1] ?? 'name';
        $request = in_array($part, ['name', 'uptime', 'started', 'next', 'tags'], true)
            ? null
            : $this->requests[$part] ?? null;

        return match (true) {
            isset($call->path[2]) => self::noted($part, $call->folded[2] === 'gained'),
            $request === null => fn (EvaluationContext $run): null|bool|int|string|Value => $this->value($call, $run),
            in_array($part, self::COUNTS, true) => self::count($request),
            default => static fn (EvaluationContext $run): null|bool|int|string|Value => $run->read($request),
        };
    }

    /**
     * What a service tells for a count and is none counts as not told.
     *
     * @return Closure(EvaluationContext): (int|Gap|null)
     */
    private static function count(Request $request): Closure
    {
        return static function (EvaluationContext $run) use ($request): int|Gap|null {
            $told = $run->read($request);

            return $told === null || $told instanceof Gap || (is_int($told) && Range::ofACount()->contains($told))
                ? $told
                : $request->couldNotBeHad();
        };
    }

    public function longestPath(): int
    {
        return 3;
    }

    public function lastParts(): array
    {
        return self::NOTED;
    }

    /** @return Closure(EvaluationContext): (int|Gap|null) */
    private static function noted(string $detail, bool $isGained): Closure
    {
        $now = self::count(Request::channel($detail));
        $key = NotedNumbers::ofDetail($detail);

        return static function (EvaluationContext $run) use ($now, $key, $isGained): int|Gap|null {
            $number = $isGained ? $now($run) : 0;
            if (! $run->knows($key) || $number instanceof Gap) {
                return $number instanceof Gap ? $number : Gap::pending();
            }
            $then = $run->memory()->value($key);

            return match (true) {
                ! is_int($then), $number === null => null,
                $isGained => $number - $then,
                default => $then,
            };
        };
    }

    public function mayRead(Call $call): bool
    {
        return isset($call->path[2]);
    }

    public function reads(Call $call, EvaluationContext $run): array
    {
        return [NotedNumbers::ofDetail($call->folded[1] ?? '')];
    }

    private function value(Call $call, EvaluationContext $run): null|bool|int|string|Value
    {
        $part = $call->folded[1] ?? 'name';
        if ($part === 'name') {
            return $run->world->pack->channel->name;
        }
        if ($part === 'uptime') {
            return $this->uptime($run);
        }
        $planned = $part === 'next' && ! $run->world->pack->plan->isEmpty();
        if ($planned) {
            // What the author plans goes before what the service has heard of it.
            return $run->world->pack->plan->next($run->world->now, $run->world->pack->channel->zone);
        }
        $value = $run->read($this->requests[$part] ?? Request::channel($part));

        return match (true) {
            ! is_string($value) => $value,
            $part === 'started' || $part === 'next' => Moment::fromIso($value),
            // Tags come as lines of one text, since readings are plain values.
            $part === 'tags' => new ListValue($value === '' ? [] : explode("\n", $value)),
            default => $value,
        };
    }

    private function uptime(EvaluationContext $run): TimeSpan|Gap|null
    {
        $started = $run->read($this->requests['started']);
        if ($started instanceof Gap) {
            return $started;
        }
        $moment = is_string($started) ? Moment::fromIso($started) : $started;

        return $moment instanceof Moment ? TimeSpan::between($moment, $run->world->now) : null;
    }

    public function whenNothing(Call $call, Pack $pack): ?string
    {
        return in_array($call->folded[1] ?? '', ['uptime', 'started'], true) ? 'the stream is off' : null;
    }
}
