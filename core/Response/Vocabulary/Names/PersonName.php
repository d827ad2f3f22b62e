<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Names;

use Closure;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Person;
use SilverParrot\Lookup\Request;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\FieldType;
use SilverParrot\Pack\Goods;
use SilverParrot\Pack\Ladder;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\Many;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Analysis\ValueKind;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Vocabulary\Name;
use SilverParrot\Response\Vocabulary\Remembering;
use SilverParrot\Response\Vocabulary\Verbs\Assignable;
use SilverParrot\Response\Vocabulary\Verbs\FieldCell;
use SilverParrot\Response\Vocabulary\Verbs\MayChange;
use SilverParrot\Response\Vocabulary\Writable;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\ListValue;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Number;
use SilverParrot\Value\Range;
use SilverParrot\Value\Value;

/** What `caller` and `target` have in common: a person's parts, and the fields that the author declares. */
abstract readonly class PersonName extends Name implements Remembering, Writable
{
    public const PARTS = [
        'name',
        'login',
        'level',
        'levels',
        'tier',
        'known',
        'first_seen',
        'last_seen',
        'lines',
        'here',
        'rank',
        'goods',
        ...self::ASKED,
    ];

    /** Digits of what is counted in whole numbers, at most: those of Limits::COUNTER. */
    private const WHOLE = 15;

    /** Parts that the streaming service is asked for. */
    private const ASKED = ['followed', 'subscribed', 'account_made', 'category', 'link'];

    /** What each part gives, and a sentence. */
    public const TELLS = [
        'name' => ['a text', 'The name as it is shown.'],
        'login' => ['a text', 'The name to sign in with, in small letters.'],
        'level' => ['a level', 'The highest level that is held.'],
        'levels' => ['a list', 'All levels that are held; nothing where none is.'],
        'tier' => ['a whole number', 'The subscriber’s tier, 1 to 3; nothing for others.'],
        'known' => ['yes or no', 'Whether they were ever seen in this chat.'],
        'first_seen' => ['a moment', 'When they first wrote here.'],
        'last_seen' => ['a moment', 'When they last wrote here.'],
        'lines' => ['a whole number', 'How many lines they wrote here.'],
        'here' => ['yes or no', 'Whether they wrote something within ten minutes.'],
        'rank' => [
            'a text',
            'The rank they hold on the first ladder; caller.pebbles.rank that of another. Nothing below the first '
                .'rank.',
        ],
        'goods' => ['a list', 'What they own, with how many where it is more than one; nothing where that is nothing.'],
        'link' => ['a text', 'The address of their own channel.'],
        'followed' => ['a moment', 'Since when they follow; nothing for those who don’t.'],
        'subscribed' => ['a moment', 'Since when they subscribe; nothing for those who don’t.'],
        'account_made' => ['a moment', 'When the account was made.'],
        'category' => ['a text', 'What they streamed last; nothing for those who never did.'],
    ];

    /** Parts that come from the record of a person rather than from the line itself. */
    private const RECORDED = ['first_seen', 'last_seen', 'lines', 'here'];

    /** Whether a command always has one. */
    abstract protected function isAlwaysThere(): bool;

    /** Null when there is nobody; a pending gap while it is not known who it is. */
    abstract public function person(EvaluationContext $run): Person|Gap|null;

    public function check(Call $call, Pack $pack): array
    {
        $findings = Checking::takesNothing($call);
        $part = $call->folded[1] ?? null;
        $hasRanks = isset($pack->ladders[Fold::caseless($pack->field($part ?? '')->name ?? '')]);
        $isPoints = $pack->field($part ?? '')?->type === FieldType::Points;
        $last = [...$hasRanks ? ['rank'] : [], ...$isPoints ? ['named'] : []];
        $isKnown = in_array($call->folded[2] ?? '', $last, true) && ! isset($call->folded[3]);
        if (
            (isset($call->folded[2]) && ! $isKnown)
            || ($part !== null && ! in_array($part, self::PARTS, true) && $pack->field($part) === null)
        ) {
            $findings[] = isset($call->folded[2])
                ? Checking::unknownPart($call, 2, $last)
                : Checking::unknownPart($call, 1, $this->parts($pack));
        }

        return $findings;
    }

    public function estimate(Call $call, EstimateContext $in): ValueEstimate
    {
        $part = $call->folded[1] ?? '';
        $longestName = $in->profile->longestName;
        $field = $in->pack->field($part);
        if (($call->folded[2] ?? '') === 'named') {
            $name = max(mb_strlen($field->one ?? ''), mb_strlen($field?->many() ?? ''));

            return ValueEstimate::text(2 + min(1, $name), self::WHOLE + 1 + $name)->orNothing();
        }
        if ($part === 'rank' || isset($call->folded[2])) {
            return ValueEstimate::oneOf(...array_values(self::ladder($call, $in->pack)->ranks ?? []))->orNothing();
        }
        if ($field !== null && ! in_array($part, self::PARTS, true)) {
            $kept = self::fieldEstimate($field, $in);

            // Whoever writes is somebody, and has a number from the beginning.
            return $this->isAlwaysThere() && $field->type->isNumber() ? $kept : $kept->orNothing();
        }
        $estimate = match ($part) {
            '' => ValueEstimate::of(ValueKind::Person, 1, $longestName),
            'name', 'login' => ValueEstimate::text(1, $longestName),
            'level' => $in->lengths->level(),
            'levels' => ValueEstimate::items(
                Many::of($in->lengths->level(), count(Level::cases()) - 1),
                $in->lengths->joint(),
            )->orNothing(),
            'goods' => ValueEstimate::items(
                Many::of(
                    ValueEstimate::text(1, self::WHOLE + 1 + self::longestName($in->pack)),
                    count($in->pack->goods),
                ),
                $in->lengths->joint(),
            )->orNothing(),
            'tier' => ValueEstimate::whole(new Range(1, 3))->orNothing(),
            'known', 'here' => $in->lengths->yesNo(),
            'lines' => ValueEstimate::whole(Range::ofACount())->orNothing(),
            'first_seen', 'last_seen' => $in->lengths->moment()->orNothing(),
            'category', 'link' => ValueEstimate::text(0, $in->longestDetail($part))
                ->orNothing()
                ->orGap(GapReason::DetailsDown),
            'followed', 'subscribed', 'account_made' => $in->lengths
                ->moment()
                ->orNothing()
                ->orGap(GapReason::DetailsDown),
            default => ValueEstimate::nothing()->orGap(GapReason::Unknown),
        };

        return $this->isAlwaysThere() ? $estimate : $estimate->orNothing();
    }

    public function longestPath(): int
    {
        return 3;
    }

    public function lastParts(): array
    {
        return ['rank', 'named'];
    }

    public function prepared(Call $call): Closure
    {
        return fn (EvaluationContext $run): null|bool|int|string|Value => $this->value($call, $run);
    }

    private function value(Call $call, EvaluationContext $run): null|bool|int|string|Value
    {
        $person = $this->person($run);
        if (! isset($call->folded[1]) || ! $person instanceof Person) {
            return $person;
        }
        $part = $call->folded[1];
        $field = $run->world->pack->field($part);
        if ($field !== null && ($call->folded[2] ?? '') === 'named') {
            return $this->named($field, $person, $run);
        }
        if ($part === 'rank' || isset($call->folded[2])) {
            return $this->rank($call, $person, $run);
        }
        if ($field !== null && ! in_array($part, self::PARTS, true)) {
            return $this->field($field, $person, $run);
        }

        return match ($part) {
            'name' => $person->name,
            'login' => $person->login,
            'level' => $person->levels->highest(),
            'levels' => self::levels($person),
            'tier' => $person->tier > 0 ? $person->tier : null,
            'known' => $person->isKnown(),
            'here' => $this->isHere($person, $run),
            'goods' => self::goods($person, $run),
            'first_seen', 'last_seen', 'lines' => $this->recorded($part, $person, $run),
            'followed', 'subscribed', 'account_made', 'category', 'link' => self::asked($part, $person, $run),
            default => new Gap(GapReason::Unknown, ['name' => implode('.', $call->path)]),
        };
    }

    /** Everyone is no level that somebody holds. */
    private static function levels(Person $person): ?ListValue
    {
        $held = array_values(
            array_filter($person->levels->all(), static fn (Level $level): bool => $level !== Level::Everyone),
        );

        return $held === [] ? null : new ListValue($held);
    }

    public function parts(Pack $pack): array
    {
        return [...self::PARTS, ...array_column($pack->fields, 'name')];
    }

    public function isPerson(): bool
    {
        return true;
    }

    public function mayRead(Call $call): bool
    {
        return isset($call->path[1]);
    }

    public function reads(Call $call, EvaluationContext $run): array
    {
        $person = $this->person($run);
        $part = $call->folded[1] ?? null;
        if (! $person instanceof Person || ! $person->isKnown() || $part === null) {
            return [];
        }

        if ($part === 'goods') {
            return self::goodsKeys($person, $run->world->pack);
        }
        $field = match (true) {
            ($call->folded[2] ?? '') === 'named' => $run->world->pack->field($part),
            $part === 'rank' || isset($call->folded[2]) => $run->world->pack->field(
                Fold::caseless(self::ladder($call, $run->world->pack)->field ?? ''),
            ),
            in_array($part, self::PARTS, true) => null,
            default => $run->world->pack->field($part),
        };

        return match (true) {
            in_array($part, self::RECORDED, true) => [Key::person($person->login)],
            $field !== null => [Key::field($field->id, $person->id)],
            default => [],
        };
    }

    public function canBeWritten(Call $call, Pack $pack): bool
    {
        $part = $call->folded[1] ?? '';

        return $pack->field($part) !== null && ! in_array($part, self::PARTS, true) && ! isset($call->folded[2]);
    }

    public function cell(Call $call, EvaluationContext $run): Assignable|Gap
    {
        $person = $this->person($run);
        $field = $run->world->pack->field($call->folded[1] ?? '');
        if ($person instanceof Gap || $field === null) {
            return $person instanceof Gap
                ? $person
                : new Gap(GapReason::Unknown, ['name' => implode('.', $call->path)]);
        }
        if ($person === null || ! $person->isKnown()) {
            throw EvaluationFailure::nobodyToChange($person === null ? '' : $person->name, $call->span());
        }
        MayChange::orFail($field->changes, $person->id, "{$call->path[0]}.{$field->name}", $run, $call->span());

        return $run->knows(Key::field($field->id, $person->id))
            ? FieldCell::ofField($field, $person, $run)
            : Gap::pending();
    }

    /** `caller.rank` is that of the first ladder, `caller.pebbles.rank` that of the field's. */
    private static function ladder(Call $call, Pack $pack): ?Ladder
    {
        return isset($call->folded[2])
            ? $pack->ladders[Fold::caseless($pack->field($call->folded[1])->name ?? '')] ?? null
            : array_values($pack->ladders)[0] ?? null;
    }

    private function rank(Call $call, Person $person, EvaluationContext $run): string|Gap|null
    {
        $ladder = self::ladder($call, $run->world->pack);
        $field = $ladder === null ? null : $run->world->pack->field(Fold::caseless($ladder->field));
        $has = match (true) {
            $field === null => null,
            $ladder->byEverEarned => $this->ever($field, $person, $run),
            default => $this->field($field, $person, $run),
        };

        if ($has instanceof Gap) {
            return $has;
        }

        return $ladder !== null && (is_int($has) || $has instanceof Number) ? $ladder->rank($has) : null;
    }

    /** All that was ever earned, spent or not. */
    private function ever(Field $field, Person $person, EvaluationContext $run): int|Gap
    {
        $key = Key::everEarned($field->id, $person->id);
        $ever = $run->knows($key) ? $run->memory()->value($key) : Gap::pending();

        return match (true) {
            $ever instanceof Gap => $ever,
            default => is_int($ever) ? $ever : 0,
        };
    }

    /** "40 pebbles", by the names that the author gave one and many. */
    private function named(Field $field, Person $person, EvaluationContext $run): string|Gap|null
    {
        $has = $this->field($field, $person, $run);

        return match (true) {
            $has instanceof Gap => $has,
            is_int($has), $has instanceof Number => $run->print($has).' '.$field->called($has),
            default => null,
        };
    }

    private static function longestName(Pack $pack): int
    {
        return max([0, ...array_map(static fn (Goods $one): int => mb_strlen($one->name), array_values($pack->goods))]);
    }

    /** @return list<Key> */
    private static function goodsKeys(Person $person, Pack $pack): array
    {
        return array_values(
            array_map(static fn (Goods $goods): Key => Key::goods($goods->id, $person->id), $pack->goods),
        );
    }

    private static function goods(Person $person, EvaluationContext $run): ListValue|Gap|null
    {
        if (! $person->isKnown()) {
            return null;
        }
        $missing = array_filter(
            self::goodsKeys($person, $run->world->pack),
            static fn (Key $key): bool => ! $run->knows($key),
        );
        if ($missing !== []) {
            return Gap::pending();
        }
        $owned = [];
        foreach ($run->world->pack->goods as $goods) {
            $count = $run->memory()->value(Key::goods($goods->id, $person->id));
            if (is_int($count) && $count > 0) {
                $owned[] = $count === 1 ? $goods->name : "$count {$goods->name}";
            }
        }

        return $owned === [] ? null : new ListValue($owned);
    }

    private static function fieldEstimate(Field $field, EstimateContext $in): ValueEstimate
    {
        return match ($field->type) {
            FieldType::Points => ValueEstimate::whole(Range::ofACount()),
            FieldType::Number => ValueEstimate::number(),
            FieldType::Text => ValueEstimate::text(0, Limits::FIELD_TEXT),
            FieldType::Moment => $in->lengths->moment(),
            FieldType::YesNo => $in->lengths->yesNo(),
        };
    }

    private function field(Field $field, Person $person, EvaluationContext $run): null|bool|int|string|Value
    {
        if (! $person->isKnown()) {
            return null;
        }
        $key = Key::field($field->id, $person->id);

        return $run->knows($key) ? FieldCell::read($field, $run->memory()->value($key)) : Gap::pending();
    }

    private function recorded(string $part, Person $person, EvaluationContext $run): int|Moment|Gap|null
    {
        $key = Key::person($person->login);
        if (! $run->knows($key)) {
            return Gap::pending();
        }
        $record = $run->memory()->value($key);
        $kept = is_array($record) ? $record[$part] ?? null : null;

        if ($part === 'lines') {
            return is_int($kept) ? $kept : null;
        }

        return is_string($kept) ? Moment::fromIso($kept) : null;
    }

    private function isHere(Person $person, EvaluationContext $run): bool|Gap
    {
        $seen =
            $run->scene->caller?->is($person->login) === true
                ? $run->world->now
                : $this->recorded('last_seen', $person, $run);

        return $seen instanceof Gap
            ? $seen
            : $seen instanceof Moment && $run->world->now->millis - $seen->millis <= Person::HERE_SECONDS * 1000;
    }

    private static function asked(string $part, Person $person, EvaluationContext $run): null|bool|int|string|Value
    {
        if (! $person->isKnown()) {
            return null;
        }
        $value = $run->read(Request::person($part, $person->login));

        return $part !== 'category' && $part !== 'link' && is_string($value) ? Moment::fromIso($value) : $value;
    }
}
