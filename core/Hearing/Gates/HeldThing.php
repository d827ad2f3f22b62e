<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;
use SilverParrot\Hearing\RankChanges;
use SilverParrot\Memory\Key;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\Goods;
use SilverParrot\Pack\Ladder;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Vocabulary\Verbs\FieldCell;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Message;
use SilverParrot\Value\Number;

/** One thing that a viewer must hold: a value in a field, a rank, goods. */
final readonly class HeldThing
{
    /**
     * @param  string  $name  of the field, the rank or the goods
     * @param  int|null  $least  of a number, or of goods; null for any at all
     * @param  string  $is  what a text must be; empty for any at all
     */
    public function __construct(
        public HeldKind $kind,
        public string $name,
        public ?int $least = null,
        public string $is = '',
    ) {
    }

    public static function read(Document $at): self
    {
        $kinds = array_column(HeldKind::cases(), 'value');
        $at->object([...$kinds, 'least', 'is']);
        $given = array_values(array_filter($kinds, $at->has(...)));
        if (count($given) !== 1) {
            count($given) < 2
                ? $at->flaw(DocumentError::NothingNamed, [])
                : $at->at($given[1])->flaw(DocumentError::OneTooMany, ['key' => $given[1], 'other' => $given[0]]);
        }
        $kind = $given[0] ?? HeldKind::Field->value;
        $name = $at->has($kind) ? $at->at($kind)->text(60) : '';
        if ($given !== [] && $name === '' && $at->at($kind)->isText()) {
            $at->at($kind)->flaw(DocumentError::NothingNamed, []);
        }

        return new self(
            HeldKind::from($kind),
            $name,
            $at->has('least') ? $at->at('least')->whole(-Limits::COUNTER, Limits::COUNTER) : null,
            $at->has('is') ? $at->at('is')->text(Limits::FIELD_TEXT) : '',
        );
    }

    /** @return array<string, int|string> */
    public function write(): array
    {
        return [$this->kind->value => $this->name]
            + ($this->least === null ? [] : ['least' => $this->least])
            + ($this->is === '' ? [] : ['is' => $this->is]);
    }

    /** @return array<string, mixed> */
    public static function schema(): array
    {
        $name = ['type' => 'string', 'minLength' => 1, 'maxLength' => 60];

        return [
            'type' => 'object',
            'additionalProperties' => false,
            'properties' => array_fill_keys(array_column(HeldKind::cases(), 'value'), $name) + [
                'least' => ['type' => 'integer', 'minimum' => -Limits::COUNTER, 'maximum' => Limits::COUNTER],
                'is' => ['type' => 'string', 'maxLength' => Limits::FIELD_TEXT],
            ],
            'oneOf' => array_map(
                static fn (HeldKind $kind): array => ['required' => [$kind->value]],
                HeldKind::cases(),
            ),
        ];
    }

    /** “those with the rank deckhand” */
    public function message(): Message
    {
        $says = match (true) {
            $this->kind === HeldKind::Rank => 'rank',
            $this->kind === HeldKind::Goods => ($this->least ?? 1) > 1 ? 'goods-least' : 'goods',
            $this->is !== '' => 'field-is',
            $this->least !== null => 'field-least',
            default => 'field',
        };

        return new Message("summary.held-$says", [
            'name' => $this->name,
            'least' => $this->least ?? 1,
            'is' => $this->is,
        ]);
    }

    /** @return Field|Goods|array{Ladder, Field, int}|null of a rank, where it begins; null for what there is not */
    public function in(Pack $pack): Field|Goods|array|null
    {
        return match ($this->kind) {
            HeldKind::Field => $pack->field(Fold::caseless($this->name)),
            HeldKind::Goods => $pack->goods[Fold::caseless($this->name)] ?? null,
            HeldKind::Rank => $this->rank($pack),
        };
    }

    /** @return array{Ladder, Field, int}|null */
    private function rank(Pack $pack): ?array
    {
        foreach ($pack->ladders as $name => $ladder) {
            foreach ($ladder->ranks as $least => $rank) {
                $field = $pack->fields[$name] ?? null;
                if ($field !== null && Fold::caseless($rank) === Fold::caseless($this->name)) {
                    return [$ladder, $field, $least];
                }
            }
        }

        return null;
    }

    public function key(Pack $pack, string $personId): ?Key
    {
        $of = $this->in($pack);

        return match (true) {
            $of === null => null,
            $of instanceof Field => Key::field($of->id, $personId),
            $of instanceof Goods => Key::goods($of->id, $personId),
            $of[0]->byEverEarned => Key::everEarned($of[1]->id, $personId),
            default => Key::field($of[1]->id, $personId),
        };
    }

    /** As responses name it, "caller.boat"; null for a rank, which has no name of its own there. */
    public function place(): ?string
    {
        $folded = Fold::caseless($this->name);

        return match ($this->kind) {
            HeldKind::Field => "caller.$folded",
            HeldKind::Goods => "goods.$folded",
            HeldKind::Rank => null,
        };
    }

    public function called(string $name): self
    {
        return new self($this->kind, $name, $this->least, $this->is);
    }

    /** @param  null|bool|int|string|array<string, mixed>  $kept  under its key */
    public function isHeld(Pack $pack, null|bool|int|string|array $kept): bool
    {
        $of = $this->in($pack);
        if ($of instanceof Goods) {
            return is_int($kept) && $kept >= ($this->least ?? 1);
        }
        if (is_array($of)) {
            [$ladder, $field, $least] = $of;
            $has = RankChanges::has($ladder, $field, $kept);

            return $ladder->isOn && $has !== null && Number::compare($has, $least) >= 0;
        }
        $value = $of === null ? null : FieldCell::read($of, $kept);

        return match (true) {
            is_int($value), $value instanceof Number => Number::compare($value, $this->least ?? 1) >= 0,
            is_string($value) => $this->is === ''
                ? ! Fold::isBlank($value)
                : Fold::caseless(trim($value)) === Fold::caseless(trim($this->is)),
            default => $value !== null && $value !== false,
        };
    }
}
