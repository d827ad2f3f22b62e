<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Pack\CastMember;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/**
 * Facts, lists, counters, occasions and fields that no response names. Silent on fields that hold what a rehearsal’s
 * cast has, and in a pack without commands.
 */
final readonly class NothingDeclaredUsed extends AbstractCheck implements OfDefinitions
{
    public function code(): string
    {
        return 'never-used';
    }

    public function severity(): Severity
    {
        return Severity::Note;
    }

    public function sentence(): string
    {
        return 'No response uses {name}.';
    }

    public function mend(): string
    {
        return 'Use it, or delete it.';
    }

    public function reason(): string
    {
        return 'What nobody reads is one more thing to wonder about.';
    }

    private const KINDS = [
        'fact' => 'facts',
        'list' => 'lists',
        'counter' => 'counters',
        'occasion' => 'occasions',
        'goods' => 'goods',
    ];

    public function look(CheckContext $at): array
    {
        $used = $at->used();
        $listsGoods = isset($used['caller.goods']) || isset($used['target.goods']);
        $findings = [];
        foreach ($at->pack->commands === [] ? [] : self::KINDS as $kind => $key) {
            /** @var array<string, object{name: string}> $declared */
            $declared = [
                'fact' => $at->pack->facts,
                'list' => $at->pack->lists,
                'counter' => $at->pack->counters,
                'occasion' => $at->pack->occasions,
                'goods' => $at->pack->goods,
            ][$kind];
            foreach (array_keys($declared) as $index => $name) {
                if (! isset($used["$kind.$name"]) && ! ($kind === 'goods' && $listsGoods)) {
                    $findings[] = new Finding($this, null, "/$key/$index", [
                        'name' => "$kind.{$declared[$name]->name}",
                    ]);
                }
            }
        }
        foreach ($at->pack->commands === [] ? [] : array_keys($at->pack->fields) as $index => $name) {
            // The first unit of points has that as another name, and a ladder goes by its field.
            $names = $at->pack->field('points') === $at->pack->fields[$name] ? [$name, 'points'] : [$name];
            $isNamed =
                array_filter(
                    $names,
                    static fn (string $one): bool => isset($used["caller.$one"])
                        || isset($used["target.$one"])
                        || isset($used["top.$one"]),
                ) !== [];
            if (
                ! $isNamed
                && ! isset($at->pack->ladders[$name])
                && array_filter($at->pack->cast, static fn (CastMember $member): bool => isset($member->record[$name]))
                    === []
            ) {
                $findings[] = new Finding($this, null, "/fields/$index", [
                    'name' => "the field {$at->pack->fields[$name]->name}",
                ]);
            }
        }

        return $findings;
    }
}
