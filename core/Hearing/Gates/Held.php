<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;
use SilverParrot\Pack\Refusal;

/** What whoever uses it must have: values in fields, ranks, goods; all of them. */
final readonly class Held extends GateSetting implements Gate
{
    public const MOST = 10;

    /** @param  list<HeldThing>  $things */
    public function __construct(public array $things = [])
    {
    }

    public static function key(): string
    {
        return 'held';
    }

    public static function usual(): self
    {
        return new self;
    }

    public static function read(Document $at): self
    {
        $read = new self(array_map(HeldThing::read(...), $at->items(self::MOST)));
        if ($read->things === []) {
            $at->flaw(DocumentError::NothingNamed, []);
        }

        return $read;
    }

    public function write(): ?array
    {
        return array_map(static fn (HeldThing $thing): array => $thing->write(), $this->things) ?: null;
    }

    public static function schema(): array
    {
        return [
            'description' => 'all of it must be held',
            'type' => 'array',
            'minItems' => 1,
            'maxItems' => self::MOST,
            'items' => HeldThing::schema(),
        ];
    }

    /** Rows of a kind, a name, and how many or what. */
    public static function typed(mixed $fields): mixed
    {
        if (! is_array($fields)) {
            return null;
        }
        $typed = [];
        foreach ($fields as $row) {
            $row = array_filter(is_array($row) ? $row : [], is_string(...));
            $name = trim($row['name'] ?? '');
            if ($name !== '') {
                $amount = trim($row['amount'] ?? '');
                $typed[] = [HeldKind::tryFrom($row['kind'] ?? '')->value ?? HeldKind::Field->value => $name] + match (
                    true
                ) {
                    $amount === '' => [],
                    is_int(TypedFields::whole($amount)) => ['least' => TypedFields::whole($amount)],
                    default => ['is' => $amount],
                };
            }
        }

        return $typed;
    }

    public static function condition(): string
    {
        return 'they have something';
    }

    public function summary(): array
    {
        return array_map(static fn (HeldThing $thing) => $thing->message(), $this->things);
    }

    public static function refusal(): Refusal
    {
        return new Refusal('held', 'If they lack what it takes', ['needs']);
    }

    public function gates(): array
    {
        return $this->things === [] ? [] : [$this];
    }

    public static function checks(): array
    {
        return [new HeldUnknown];
    }

    public function names(): array
    {
        $places = array_map(static fn (HeldThing $one): ?string => $one->place(), $this->things);

        return array_values(array_filter($places));
    }

    public function renamed(string $place, string $name): self
    {
        return new self(
            array_map(
                static fn (HeldThing $one): HeldThing => $one->place() === $place ? $one->called($name) : $one,
                $this->things,
            ),
        );
    }

    public function name(): string
    {
        return 'held';
    }

    public function stand(GateContext $context): Open|GateRefusal|Pending
    {
        if ($context->person === null) {
            return new Open;
        }
        $pack = $context->world->pack;
        $memory = $context->world->memory;
        $unknown = [];
        foreach ($this->things as $thing) {
            $key = $thing->key($pack, $context->person->id);
            if ($key !== null && ! $memory->knows($key)) {
                $unknown[] = $key;
            }
        }
        if ($unknown !== []) {
            return Pending::key(...$unknown);
        }
        foreach ($this->things as $thing) {
            $key = $thing->key($pack, $context->person->id);
            if ($key === null || ! $thing->isHeld($pack, $memory->value($key))) {
                return new GateRefusal(
                    $this->name(),
                    'held',
                    ['needs' => $thing->message()],
                    ['needs' => $thing->name],
                    self::refusal(),
                );
            }
        }

        return new Open;
    }
}
