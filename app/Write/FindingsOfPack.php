<?php

declare(strict_types=1);

namespace App\Write;

use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Finding;

/** What checks say about a whole pack, as far as it was looked at. */
final readonly class FindingsOfPack
{
    /**
     * @param  list<array{number: int, command: Command|null, findings: list<Finding>}>  $groups  by the row's number, 0
     *     for what belongs to no command; those with errors first, that one last. Places are counted from the command,
     *     or from the pack
     * @param  Pack  $names  that places which are counted from the pack are of
     * @param  int  $commands  how many there are
     * @param  int  $left  of these, how many were not looked at yet
     */
    public function __construct(public array $groups, public Pack $names, public int $commands, public int $left)
    {
    }

    public function count(): int
    {
        return array_sum(array_map(static fn (array $group): int => count($group['findings']), $this->groups));
    }

    /**
     * @return list<array{number: int, command: Command|null, findings: list<Finding>}> errors alone, of what is
     *     switched on: nothing else comes to harm on the air
     */
    public function errors(): array
    {
        $errors = [];
        foreach ($this->groups as $group) {
            $own = array_filter($group['findings'], static fn (Finding $finding): bool => $finding->isError());
            if ($own !== [] && ($group['command'] === null || $group['command']->isOn())) {
                $errors[] = ['findings' => array_values($own)] + $group;
            }
        }

        return $errors;
    }
}
