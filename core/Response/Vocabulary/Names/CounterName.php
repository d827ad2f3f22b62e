<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Names;

use Closure;
use SilverParrot\Chat\Person;
use SilverParrot\Lookup\Request;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Owner;
use SilverParrot\Pack\Counted;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\CounterScope;
use SilverParrot\Pack\NotedNumbers;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Reset;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\SyntaxErrorCode;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Name;
use SilverParrot\Response\Vocabulary\Remembering;
use SilverParrot\Response\Vocabulary\Verbs\Assignable;
use SilverParrot\Response\Vocabulary\Verbs\CounterCell;
use SilverParrot\Response\Vocabulary\Verbs\MayChange;
use SilverParrot\Response\Vocabulary\Verbs\NotedCell;
use SilverParrot\Response\Vocabulary\Writable;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Range;

final readonly class CounterName extends Name implements Remembering, Writable
{
    /** What was noted when the stream began, and what came since. */
    private const NOTED = ['at_start', 'gained'];

    private const LAST = ['total', ...self::NOTED];

    public function describe(): Description
    {
        return new Description(
            'counter',
            'for a person, where each viewer has one',
            'a whole number',
            'Splinters while [channel.category]: [counter.splinters] ([counter.splinters.total] in all)',
            'A number that lasts: of the whole channel, of the category, or of a viewer; .total is the sum over all '
                .'categories or viewers, .at_start what it was when the stream began, .gained what came since.',
            parts: self::LAST,
            also: ['count', 'tally', 'number'],
        );
    }

    public function check(Call $call, Pack $pack): array
    {
        $counter = $pack->counters[$call->folded[1] ?? ''] ?? null;
        if (! isset($call->path[1])) {
            return [Checking::partExpected($call, 'counter.'.(array_key_first($pack->counters) ?? 'planks'))];
        }
        if ($counter === null) {
            return [
                Checking::unknownPart(
                    $call,
                    1,
                    array_map(static fn (Counter $one): string => $one->name, array_values($pack->counters)),
                ),
            ];
        }
        if (isset($call->path[3]) || (isset($call->path[2]) && ! in_array($call->folded[2], self::LAST, true))) {
            return [Checking::unknownPart($call, 2, self::LAST)];
        }
        if ($call->operands !== [] || $call->named !== []) {
            return Checking::takesNothing($call);
        }

        return $call->for !== null && $counter->scope !== CounterScope::Viewer
            ? [
                new Finding(
                    SyntaxErrorCode::NoViewerScope,
                    $call->span(),
                    data: ['name' => "counter.{$counter->name}"],
                    replacement: implode('.', $call->path),
                ),
            ]
            : [];
    }

    public function estimate(Call $call, EstimateContext $in): ValueEstimate
    {
        $counter = $in->pack->counters[$call->folded[1] ?? ''] ?? null;
        if ($counter === null) {
            return ValueEstimate::nothing()->orGap(GapReason::Unknown);
        }
        // A sum over several numbers has no floor and ceiling of its own.
        $isSum = isset($call->folded[2]);
        $number = ValueEstimate::whole(
            $isSum
                ? new Range(-Limits::COUNTER, Limits::COUNTER)
                : new Range($counter->within(-Limits::COUNTER), $counter->within(Limits::COUNTER)),
        );

        if (in_array($call->folded[2] ?? '', self::NOTED, true)) {
            return ValueEstimate::whole(new Range(-2 * Limits::COUNTER, 2 * Limits::COUNTER))->orNothing();
        }

        return match ($counter->scope) {
            CounterScope::Channel => $number,
            CounterScope::Category => $isSum ? $number : $number->orGap(GapReason::DetailsDown),
            // Where nobody set it off, it is nobody's.
            CounterScope::Viewer => $number->orNothing(),
        };
    }

    public function longestPath(): int
    {
        return 3;
    }

    public function lastParts(): array
    {
        return self::LAST;
    }

    public function prepared(Call $call): Closure
    {
        return fn (EvaluationContext $run): int|Gap|null => $this->value($call, $run);
    }

    private function value(Call $call, EvaluationContext $run): int|Gap|null
    {
        $counter = $run->world->pack->counters[$call->folded[1] ?? ''] ?? null;
        if ($counter === null) {
            return new Gap(GapReason::Unknown, ['name' => implode('.', $call->path)]);
        }
        if (in_array($call->folded[2] ?? '', self::NOTED, true)) {
            return $this->noted($counter, $call->folded[2] === 'gained', $run);
        }
        if (isset($call->folded[2]) && $counter->scope->hasSum()) {
            return $this->number(Counted::fromNought($counter), $this->total($counter), $run);
        }
        $key = $this->kept($counter, $call, $run);

        return $key instanceof Key ? $this->number($counter, $key, $run) : $key;
    }

    /** Of viewers' own numbers none is noted. */
    private function noted(Counter $counter, bool $isGained, EvaluationContext $run): int|Gap|null
    {
        $source = NotedNumbers::source($counter);
        if ($source === null) {
            return null;
        }
        $of = $counter->scope->hasSum() ? Counted::fromNought($counter) : $counter;
        $now = $isGained ? $this->number($of, $source, $run) : 0;
        $key = NotedNumbers::ofCounter($counter);
        if (! $run->knows($key) || $now instanceof Gap) {
            return Gap::pending();
        }
        $then = $run->memory()->value($key);

        return match (true) {
            ! is_int($then) => null,
            $isGained => $now - $then,
            default => $then,
        };
    }

    public function mayRead(Call $call): bool
    {
        return isset($call->path[1]);
    }

    public function reads(Call $call, EvaluationContext $run): array
    {
        $counter = $run->world->pack->counters[$call->folded[1] ?? ''] ?? null;
        if ($counter === null) {
            return [];
        }
        $keys = $counter->scope->hasSum() ? [$this->total($counter)] : [];
        if ($counter->reset === Reset::Stream) {
            $keys[] = Key::stream();
        }
        if (in_array($call->folded[2] ?? '', self::NOTED, true)) {
            return [...$keys, Key::counter($counter->id), NotedNumbers::ofCounter($counter)];
        }
        if ($counter->guard->stands() && $counter->scope === CounterScope::Channel) {
            $keys[] = Key::guarded($counter->id, Owner::channel());
        }
        $key = $this->kept($counter, $call, $run);

        return $key instanceof Key ? [...$keys, $key] : $keys;
    }

    public function canBeWritten(Call $call, Pack $pack): bool
    {
        return ! isset($call->path[2]) || $call->folded[2] === 'at_start';
    }

    public function cell(Call $call, EvaluationContext $run): Assignable|Gap
    {
        $counter = $run->world->pack->counters[$call->folded[1] ?? ''] ?? null;
        if ($counter !== null && ($call->folded[2] ?? '') === 'at_start') {
            MayChange::orFail($counter->changes, null, "counter.{$counter->name}", $run, $call->span());

            return NotedCell::of(NotedNumbers::ofCounter($counter), $run);
        }
        if ($counter === null || isset($call->path[2])) {
            return new Gap(GapReason::Unknown, ['name' => implode('.', $call->path)]);
        }
        $key = $this->kept($counter, $call, $run);
        if (! $key instanceof Key) {
            // Either nobody was named, or somebody who was never seen here.
            $person = $this->person($call, $run);

            return $key ?? throw EvaluationFailure::nobodyToChange(
                $person instanceof Person ? $person->name : '',
                $call->span(),
            );
        }
        MayChange::orFail(
            $counter->changes,
            $counter->scope === CounterScope::Viewer ? $key->owner->of : null,
            "counter.{$counter->name}",
            $run,
            $call->span(),
        );
        // All are asked for before any is waited for, so that they come in one round.
        $missing = array_filter(
            Counted::reads($counter, $key->owner)->keys,
            static fn (Key $one): bool => ! $run->knows($one),
        );

        return $missing === []
            ? new CounterCell($counter, $key, $this->scope($counter, $call, $run), $run, $this->period($counter, $run))
            : Gap::pending();
    }

    private function number(Counter $counter, Key $key, EvaluationContext $run): int|Gap
    {
        if ($counter->reset === Reset::Never) {
            return $run->knows($key) ? Counted::number($counter, $run->memory()->value($key), '') : Gap::pending();
        }
        $missing = array_filter(
            [$key, ...$counter->reset === Reset::Stream ? [Key::stream()] : []],
            static fn (Key $one): bool => ! $run->knows($one),
        );

        return $missing === []
            ? Counted::number($counter, $run->memory()->value($key), $this->period($counter, $run))
            : Gap::pending();
    }

    private function period(Counter $counter, EvaluationContext $run): string
    {
        return Counted::period($counter, $run->memory(), $run->world->now, $run->world->pack->channel->zone);
    }

    private function kept(Counter $counter, Call $call, EvaluationContext $run): Key|Gap|null
    {
        if ($counter->scope === CounterScope::Channel) {
            return Key::counter($counter->id);
        }
        if ($counter->scope === CounterScope::Category) {
            $category = $run->read(Request::channel('category'));

            return $category instanceof Gap
                ? $category
                : Key::counter($counter->id, Owner::category(is_string($category) ? $category : ''));
        }
        $person = $this->person($call, $run);

        return match (true) {
            ! $person instanceof Person => $person,
            ! $person->isKnown() => null,
            default => Key::counter($counter->id, Owner::viewer($person->id)),
        };
    }

    private function person(Call $call, EvaluationContext $run): Person|Gap|null
    {
        $person = $call->for === null ? $run->scene->caller : $call->for->value($run);

        return $person instanceof Person || $person instanceof Gap ? $person : null;
    }

    private function scope(Counter $counter, Call $call, EvaluationContext $run): string
    {
        $person = $this->person($call, $run);
        $category = $counter->scope === CounterScope::Category ? $run->read(Request::channel('category')) : null;

        return match ($counter->scope) {
            CounterScope::Channel => 'channel',
            CounterScope::Category => is_string($category) ? $category : '',
            CounterScope::Viewer => $person instanceof Person ? $person->login : '',
        };
    }

    private function total(Counter $counter): Key
    {
        return Key::counter($counter->id, Owner::total());
    }

    public function parts(Pack $pack): array
    {
        return array_column($pack->counters, 'name');
    }

    public function standsAlone(): bool
    {
        return false;
    }
}
