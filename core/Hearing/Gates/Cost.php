<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Actions\Holdings;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Person;
use SilverParrot\Document\Document;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Refusal;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Message;

/** How many points it takes, by level if wanted. They are taken only when the response succeeds. */
final readonly class Cost extends GateSetting implements Gate
{
    public const MOST = 1_000_000_000;

    public ByLevel $levels;

    /**
     * @param  int  $points  0: it costs nothing
     * @param  string  $unit  a field that holds points; empty for the first there is
     */
    public function __construct(public int $points = 0, public string $unit = '', ?ByLevel $levels = null)
    {
        $this->levels = $levels ?? ByLevel::of([]);
    }

    public static function key(): string
    {
        return 'cost';
    }

    public static function usual(): self
    {
        return new self;
    }

    public static function read(Document $at): self
    {
        $at->object(['points', 'unit', 'levels'], ['points']);

        $cost = new self(
            $at->at('points')->whole(0, self::MOST),
            $at->has('unit') ? $at->at('unit')->text(60) : '',
            $at->has('levels') ? ByLevel::read($at->at('levels'), self::MOST) : null,
        );

        // Nothing of a unit, to some levels too, is nothing.
        return $cost->isFree() ? new self : $cost;
    }

    public function write(): ?array
    {
        return $this->isFree()
            ? null
            : ['points' => $this->points]
                + ($this->unit === '' ? [] : ['unit' => $this->unit])
                + ($this->levels->numbers === [] ? [] : ['levels' => $this->levels->write()]);
    }

    public static function schema(): array
    {
        $points = ['type' => 'integer', 'minimum' => 0, 'maximum' => self::MOST];

        return [
            'description' => 'points that are taken when it succeeds; “levels” for those who pay otherwise',
            'type' => 'object',
            'additionalProperties' => false,
            'required' => ['points'],
            'properties' => [
                'points' => $points,
                'unit' => ['type' => 'string', 'maxLength' => 60],
                'levels' => ByLevel::schema($points),
            ],
        ];
    }

    public static function typed(mixed $fields): mixed
    {
        if (! is_array($fields)) {
            return null;
        }
        $unit = is_string($fields['unit'] ?? null) ? trim($fields['unit']) : '';

        return ['points' => TypedFields::whole($fields['points'] ?? '')]
            + ($unit === '' ? [] : ['unit' => $unit])
            + array_filter(['levels' => ByLevel::typed($fields['levels'] ?? [])]);
    }

    public static function condition(): string
    {
        return 'they pay points';
    }

    public function summary(): array
    {
        $parts = $this->points === 0 ? [] : [new Message('summary.cost', ['count' => $this->points])];
        foreach ($this->levels->write() as $level => $points) {
            $parts[] = new Message($points === 0 ? 'summary.free-for' : 'summary.cost-for', [
                'count' => $points,
                'levels' => Level::named($level)?->plural() ?? $level,
            ]);
        }

        return $parts;
    }

    public static function refusal(): Refusal
    {
        return new Refusal('cost', 'If they can’t pay for it', ['needs', 'has']);
    }

    public function gates(): array
    {
        return $this->isFree() ? [] : [$this];
    }

    public static function checks(): array
    {
        return [new CostWithoutPoints];
    }

    public function names(): array
    {
        return $this->unit === '' ? [] : ['caller.'.Fold::caseless($this->unit)];
    }

    public function renamed(string $place, string $name): self
    {
        return $this->names() === [$place] ? new self($this->points, $name, $this->levels) : $this;
    }

    public function name(): string
    {
        return 'cost';
    }

    public function stand(GateContext $context): Open|GateRefusal|Pending
    {
        $unit = $this->unitIn($context->world->pack);
        $price = $context->person === null ? 0 : $this->priceFor($context->person);
        if ($context->person === null || $unit === null || $price === 0) {
            return new Open;
        }
        $memory = $context->world->memory;
        $key = Holdings::key($unit, $context->person);
        if (! $memory->knows($key)) {
            return Pending::key($key);
        }
        $has = Holdings::has($unit, $context->person, $memory);

        return $has >= $price
            ? new Open(keptOnSuccess: [Holdings::add($unit, $context->person, -$price, $memory)])
            : new GateRefusal(
                $this->name(),
                'cost',
                ['needs' => $price, 'has' => $has, 'unit' => $unit->called($price)],
                ['needs' => $price, 'has' => $has],
                self::refusal(),
            );
    }

    /** Null where the pack has no such points: then it costs nothing. */
    public function unitIn(Pack $pack): ?Field
    {
        return $this->unit === '' ? $pack->field('points') : $pack->field(Fold::caseless($this->unit));
    }

    private function priceFor(Person $person): int
    {
        return $this->levels->for($person->levels) ?? $this->points;
    }

    private function isFree(): bool
    {
        return $this->points === 0 && array_filter($this->levels->numbers) === [];
    }
}
