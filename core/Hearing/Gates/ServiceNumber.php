<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Chat\Level;
use SilverParrot\Document\Document;
use SilverParrot\Lookup\Request;
use SilverParrot\Pack\Refusal;
use SilverParrot\Source\Message;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Moment;

/**
 * A number that the service gives a person must be at least so much. Where the service does not answer, nobody is
 * refused for it; whoever it says does not follow or subscribe has none. The streamer needs none.
 */
final readonly class ServiceNumber extends GateSetting implements Gate
{
    public const MOST = 10_000;

    public function __construct(public ?NumberOfPerson $of = null, public int $least = 1)
    {
    }

    public static function key(): string
    {
        return 'number';
    }

    public static function usual(): self
    {
        return new self;
    }

    public static function read(Document $at): self
    {
        $at->object(['of', 'least'], ['of', 'least']);

        return new self($at->at('of')->oneOf(NumberOfPerson::class), $at->at('least')->whole(1, self::MOST));
    }

    public function write(): ?array
    {
        return $this->of === null ? null : ['of' => $this->of->value, 'least' => $this->least];
    }

    public static function schema(): array
    {
        return [
            'description' => 'a number that the service gives a person, and the least that it must be',
            'type' => 'object',
            'additionalProperties' => false,
            'required' => ['of', 'least'],
            'properties' => [
                'of' => ['enum' => array_column(NumberOfPerson::cases(), 'value')],
                'least' => ['type' => 'integer', 'minimum' => 1, 'maximum' => self::MOST],
            ],
        ];
    }

    public static function typed(mixed $fields): mixed
    {
        return is_array($fields)
            ? ['of' => $fields['of'] ?? '', 'least' => TypedFields::whole($fields['least'] ?? '')]
            : null;
    }

    public static function condition(): string
    {
        return 'a number of theirs is high enough';
    }

    public function summary(): array
    {
        return $this->of === null
            ? []
            : [new Message("summary.number-{$this->of->key()}", ['count' => $this->least])];
    }

    public static function refusal(): Refusal
    {
        return new Refusal('number', 'If they don’t have the number', ['needs', 'has']);
    }

    public function gates(): array
    {
        return $this->of === null ? [] : [$this];
    }

    public static function checks(): array
    {
        return [];
    }

    public function name(): string
    {
        return 'number';
    }

    public function stand(GateContext $context): Open|GateRefusal|Pending
    {
        $person = $context->person;
        if ($this->of === null || $person === null || $person->levels->has(Level::Streamer)) {
            return new Open;
        }
        $detail = $this->of->detail();
        $has = $person->tier;
        if ($detail !== null) {
            $request = Request::person($detail, $person->login);
            $since = $context->world->readings->read($request);
            if ($since instanceof Gap) {
                return $since->isPending() ? Pending::request($request) : new Open;
            }
            $since = is_string($since) ? Moment::fromIso($since) : null;
            $has = $since === null ? 0 : intdiv(max(0, $context->at->millis - $since->millis), 86_400_000);
        }

        return $has >= $this->least
            ? new Open
            : new GateRefusal(
                $this->name(),
                'number',
                ['count' => $this->least, 'has' => $has],
                ['needs' => $this->least, 'has' => $has],
                self::refusal(),
                says: "number-{$this->of->key()}",
            );
    }
}
