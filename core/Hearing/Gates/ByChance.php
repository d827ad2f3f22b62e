<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Document\Document;
use SilverParrot\Pack\Refusal;
use SilverParrot\Source\Message;

/** Only so many times in a hundred, by chance. A try that was not lucky starts the cooldown all the same. */
final readonly class ByChance extends GateSetting implements Gate
{
    /** @param  int  $percent  1 to 100 */
    public function __construct(public int $percent = 100)
    {
    }

    public static function key(): string
    {
        return 'chance';
    }

    public static function usual(): self
    {
        return new self;
    }

    public static function read(Document $at): self
    {
        return new self($at->whole(1, 100));
    }

    public function write(): ?int
    {
        return $this->percent === 100 ? null : $this->percent;
    }

    public static function schema(): array
    {
        return ['description' => 'in a hundred', 'type' => 'integer', 'minimum' => 1, 'maximum' => 100];
    }

    public static function typed(mixed $fields): mixed
    {
        return $fields === null || $fields === '' ? null : TypedFields::whole($fields);
    }

    public static function condition(): string
    {
        return 'chance allows it';
    }

    public function summary(): array
    {
        return $this->percent === 100 ? [] : [new Message('summary.chance', ['percent' => $this->percent])];
    }

    public static function refusal(): Refusal
    {
        return new Refusal('chance', 'When chance is against it');
    }

    public function gates(): array
    {
        return $this->percent === 100 ? [] : [$this];
    }

    public static function checks(): array
    {
        return [];
    }

    public function name(): string
    {
        return 'chance';
    }

    public function stand(GateContext $context): Open|GateRefusal
    {
        $drawn = $context->world->chance->at("{$context->command->id}#chance")->getInt(1, 100);

        return $drawn <= $this->percent
            ? new Open
            : new GateRefusal(
                $this->name(),
                'chance',
                ['percent' => $this->percent],
                refusal: self::refusal(),
                isTry: true,
            );
    }
}
