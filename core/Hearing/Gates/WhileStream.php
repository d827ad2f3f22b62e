<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Checks\NothingWhileOffline;
use SilverParrot\Document\Document;
use SilverParrot\Lookup\Request;
use SilverParrot\Pack\Refusal;
use SilverParrot\Source\Message;
use SilverParrot\Value\Gap;

/**
 * Whether the stream must be live, or must not. Where the service does not say which it is, nobody is refused for it.
 */
final readonly class WhileStream extends GateSetting implements Gate
{
    /** @param  StreamState|null  $state  null: either */
    public function __construct(public ?StreamState $state = null)
    {
    }

    public static function key(): string
    {
        return 'stream';
    }

    public static function usual(): self
    {
        return new self;
    }

    public static function read(Document $at): self
    {
        return new self($at->oneOf(StreamState::class));
    }

    public function write(): ?string
    {
        return $this->state?->value;
    }

    public static function schema(): array
    {
        return [
            'description' => 'only then; either, where it is not given',
            'enum' => array_column(StreamState::cases(), 'value'),
        ];
    }

    public static function typed(mixed $fields): mixed
    {
        return $fields === '' ? null : $fields;
    }

    public function summary(): array
    {
        return $this->state === null ? [] : [new Message("summary.stream-{$this->state->value}")];
    }

    public static function refusal(): Refusal
    {
        return new Refusal('stream', 'While live or offline rules it out', ['needs']);
    }

    public function gates(): array
    {
        return $this->state === null ? [] : [$this];
    }

    public static function checks(): array
    {
        return [new NothingWhileOffline];
    }

    public function name(): string
    {
        return 'stream';
    }

    public function stand(GateContext $context): Open|GateRefusal|Pending
    {
        $request = Request::channel('live');
        $live = $context->world->readings->read($request);
        if ($live instanceof Gap && $live->isPending()) {
            return Pending::request($request);
        }
        $is = $live === true ? StreamState::Live : StreamState::Offline;
        if ($this->state === null || ! is_bool($live) || $is === $this->state) {
            return new Open;
        }

        return new GateRefusal(
            $this->name(),
            'stream',
            gives: ['needs' => $this->state->value],
            refusal: self::refusal(),
            says: "stream-{$this->state->value}",
        );
    }
}
