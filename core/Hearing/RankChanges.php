<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Chat\Person;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\PendingChanges;
use SilverParrot\Memory\View;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\Ladder;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Vocabulary\Verbs\FieldCell;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Number;

/** Whose rank is another after some changes, as far as their ladder has something to say of it. */
final readonly class RankChanges
{
    /** @param  list<array{Ladder, Field, Change}>  $moved */
    private function __construct(private array $moved)
    {
    }

    /** @param  list<Change>  $changes */
    public static function in(array $changes, Pack $pack): self
    {
        $moved = [];
        foreach ($pack->ladders as $name => $ladder) {
            $field = $pack->fields[$name] ?? null;
            if ($field === null || ! $ladder->speaks()) {
                continue;
            }
            $kind = $ladder->byEverEarned ? Kind::EverEarned : Kind::Field;
            foreach ($changes as $change) {
                if ($change->key->kind === $kind && $change->key->name === Fold::caseless($field->id)) {
                    $moved[] = [$ladder, $field, $change];
                }
            }
        }

        return new self($moved);
    }

    /** @return list<Key> what must be known: who they are, and what they had */
    public function reads(): array
    {
        $keys = [];
        foreach ($this->moved as [, , $change]) {
            array_push($keys, $change->key, Key::person($change->scope));
        }

        return $keys;
    }

    /**
     * @param  array<string, Person>  $people  by "#" and id; who is not among them is looked for in memory
     * @return list<RankChange>
     */
    public function told(View $before, array $people = []): array
    {
        $told = [];
        $after = new PendingChanges($before);
        foreach ($this->moved as [$ladder, $field, $change]) {
            $after->change($change);
            $person = $people["#{$change->key->owner->of}"]
                ?? Person::fromRecord($before->value(Key::person($change->scope)));
            $ranks = [
                self::rank($ladder, $field, $before->value($change->key)),
                self::rank($ladder, $field, $after->value($change->key)),
            ];
            $one = $person === null || $ranks[0] === $ranks[1] ? null : new RankChange($ladder, $person, ...$ranks);
            if ($one !== null && $one->text() !== '') {
                $told[] = $one;
            }
        }

        return $told;
    }

    /** @param  null|bool|int|string|array<string, mixed>  $kept */
    private static function rank(Ladder $ladder, Field $field, null|bool|int|string|array $kept): ?string
    {
        $has = self::has($ladder, $field, $kept);

        return $has === null ? null : $ladder->rank($has);
    }

    /**
     * @param  null|bool|int|string|array<string, mixed>  $kept
     * @return int|Number|null what a ladder goes by; null where it is no number
     */
    public static function has(Ladder $ladder, Field $field, null|bool|int|string|array $kept): int|Number|null
    {
        $has = match (true) {
            ! $ladder->byEverEarned => FieldCell::read($field, $kept),
            default => is_int($kept) ? $kept : 0,
        };

        return is_int($has) || $has instanceof Number ? $has : null;
    }
}
