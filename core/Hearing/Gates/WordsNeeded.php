<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Chat\Person;
use SilverParrot\Document\Document;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\Refusal;
use SilverParrot\Source\Message;
use SilverParrot\Value\Moment;

/** What must stand behind the trigger: anything at all, or somebody. */
final readonly class WordsNeeded extends GateSetting implements Gate
{
    public function __construct(public ?TypedNeed $need = null)
    {
    }

    public static function key(): string
    {
        return 'needs';
    }

    public static function usual(): self
    {
        return new self;
    }

    public static function read(Document $at): self
    {
        return new self($at->oneOf(TypedNeed::class));
    }

    public function write(): ?string
    {
        return $this->need?->value;
    }

    public static function schema(): array
    {
        return [
            'description' => 'what must be typed behind the trigger',
            'enum' => array_column(TypedNeed::cases(), 'value'),
        ];
    }

    public static function typed(mixed $fields): mixed
    {
        return $fields === '' ? null : $fields;
    }

    public static function condition(): string
    {
        return 'something or somebody is named';
    }

    public function summary(): array
    {
        return $this->need === null ? [] : [new Message("summary.needs-{$this->need->value}")];
    }

    public static function refusal(): Refusal
    {
        return new Refusal('needs', 'If what it needs isn’t typed', ['needs']);
    }

    public function gates(): array
    {
        return $this->need === null ? [] : [$this];
    }

    public static function checks(): array
    {
        return [];
    }

    public function promises(): array
    {
        return match ($this->need) {
            null => [],
            TypedNeed::Words => ['words'],
            default => ['words', 'target'],
        };
    }

    public function name(): string
    {
        return 'needs';
    }

    public function stand(GateContext $context): Open|GateRefusal|Pending
    {
        if ($this->need === null || $context->event->line() === null) {
            return new Open;
        }
        if ($this->need === TypedNeed::Words) {
            return $context->scene->wordList === [] ? $this->closed($context) : new Open;
        }
        $target = $context->target();
        if ($target instanceof Pending) {
            return $target;
        }
        if ($target === null || ($this->need !== TypedNeed::Target && ! $target->isKnown())) {
            return $this->closed($context, $target);
        }

        return $this->need === TypedNeed::Here ? $this->isHere($target, $context) : new Open;
    }

    private function isHere(Person $target, GateContext $context): Open|GateRefusal|Pending
    {
        if ($context->person?->id === $target->id) {
            return new Open;
        }
        $key = Key::person($target->login);
        if (! $context->world->memory->knows($key)) {
            return Pending::key($key);
        }
        $record = $context->world->memory->value($key);
        $seen = is_array($record) && is_string($record['last_seen'] ?? null)
            ? Moment::fromIso($record['last_seen'])
            : null;

        return $seen !== null && $context->at->millis - $seen->millis <= Person::HERE_SECONDS * 1000
            ? new Open
            : $this->closed($context, $target);
    }

    private function closed(GateContext $context, ?Person $target = null): GateRefusal
    {
        $need = $this->need->value ?? '';

        return new GateRefusal(
            $this->name(),
            'needs',
            ['trigger' => $context->command->trigger, 'name' => $target->name ?? ''],
            ['needs' => new Message("needs.$need")],
            self::refusal(),
            says: $target === null ? "needs-$need" : "needs-$need-of",
        );
    }
}
