<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Checks\AbstractCheck;
use SilverParrot\Checks\CheckContext;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;
use SilverParrot\Source\Suggestions;

/** Something must be held that the pack does not have: nobody could ever use the command. */
final readonly class HeldUnknown extends AbstractCheck
{
    public function code(): string
    {
        return 'held-unknown';
    }

    public function severity(): Severity
    {
        return Severity::Error;
    }

    public function sentence(): string
    {
        return '{trigger} is for those who have “{name}”, and nothing here is called so.';
    }

    public function mend(): string
    {
        return 'Choose one that is there: “{nearest}” perhaps.';
    }

    public function reason(): string
    {
        return 'Nobody can have what there is not, so it answers nobody.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->pack->commands as $index => $command) {
            foreach ($command->gates->get(Held::class)->things as $place => $thing) {
                if ($thing->in($at->pack) !== null) {
                    continue;
                }
                $there = match ($thing->kind) {
                    HeldKind::Field => array_column($at->pack->fields, 'name'),
                    HeldKind::Goods => array_column($at->pack->goods, 'name'),
                    HeldKind::Rank => array_merge(
                        [],
                        ...array_map(
                            static fn ($ladder): array => array_values($ladder->ranks),
                            array_values($at->pack->ladders),
                        ),
                    ),
                };
                $nearest = Suggestions::to($thing->name, $there) ?? $there[0] ?? null;
                $findings[] = new Finding($this, null, "/commands/$index/held/$place", [
                    'trigger' => $command->trigger,
                    'name' => $thing->name,
                ] + ($nearest === null ? [] : ['nearest' => $nearest]));
            }
        }

        return $findings;
    }
}
