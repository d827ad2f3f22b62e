<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Chat\Person;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\View;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\FieldType;
use SilverParrot\Pack\Goods;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Evaluation\PendingReads;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Suggestions;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Number;

/** What a deed has before it. */
final readonly class DeedScene
{
    /** Characters of what was typed that a refusal shows. */
    private const SHOWN = 40;

    /**
     * @param  Person|null  $by  who does it; null where nobody set it off
     * @param  View  $memory  with what was changed before it
     */
    public function __construct(
        public Pack $pack,
        public ?Person $by,
        public Moment $now,
        public View $memory,
        private PendingReads $needed,
    ) {
    }

    /** @return bool whether all of it is at hand; what is not is noted */
    public function knows(Reads $reads): bool
    {
        $unknown = array_filter($reads->keys, fn (Key $key): bool => ! $this->memory->knows($key));
        array_map($this->needed->key(...), array_values($unknown));

        return $unknown === [];
    }

    /** @return Person|null null while they are not fetched yet; somebody unknown where nobody is called that */
    public function person(string $typed): ?Person
    {
        $login = ltrim(trim($typed), '@');
        if ($this->by?->is($login) === true) {
            return $this->by;
        }
        $key = Key::person($login);

        return $this->knows(Reads::of($key))
            ? Person::fromRecord($this->memory->value($key)) ?? Person::unknown($login)
            : null;
    }

    public function unit(string $typed): Field|ActionDone
    {
        $unit = $this->pack->field(trim($typed) === '' ? 'points' : Fold::caseless(trim($typed)));

        return $unit?->type === FieldType::Points
            ? $unit
            : ActionDone::refused('no-points', ['name' => self::short($typed)]);
    }

    public function goods(string $typed): Goods|ActionDone
    {
        $goods = $this->pack->goods[Fold::caseless(trim($typed))] ?? null;
        $names = array_map(static fn (Goods $one): string => $one->name, array_values($this->pack->goods));
        $nearest = Suggestions::to($typed, $names);

        return $goods ?? ($nearest === null
            ? ActionDone::refused('no-goods', ['name' => self::short($typed)])
            : ActionDone::refused('no-goods-but', ['name' => self::short($typed), 'nearest' => $nearest]));
    }

    /** @return int how many somebody wants; 0 for what is no number */
    public static function count(string $typed): int
    {
        $count = Number::typed(trim($typed) === '' ? '1' : trim($typed));

        return is_int($count) ? $count : 0;
    }

    public static function short(string $typed): string
    {
        return mb_substr(trim($typed), 0, self::SHOWN);
    }
}
