<?php

declare(strict_types=1);

namespace App\Publish;

use App\Write\FindingsOfPack;
use SilverParrot\Format\ChosenChanges;
use SilverParrot\Format\Difference;
use SilverParrot\Pack\Command;
use SilverParrot\Source\Finding;

/** Which of the changes wait for an error to be fixed. */
final readonly class BlockedChanges
{
    /**
     * @param  list<Difference>  $differences
     * @param  FindingsOfPack  $findings  of the draft
     */
    public function __construct(private array $differences, private FindingsOfPack $findings)
    {
    }

    /**
     * What a change would bring to the air that cannot work. An error of a command that did not change itself is one of
     * what changed around it.
     *
     * @return list<array{number: int, command: Command|null, findings: list<Finding>}>
     */
    public function by(Difference $difference): array
    {
        $changed = array_column($this->differences, 'id');

        return array_values(
            array_filter(
                $this->findings->errors(),
                static fn (array $group): bool => $difference->trigger === ''
                    ? ! in_array($group['command']?->id, $changed, true)
                    : $group['command']?->id === $difference->id && $difference->kind !== 'dropped',
            ),
        );
    }

    /** All that can be published. */
    public function others(): ChosenChanges
    {
        $blocked = array_filter($this->differences, fn (Difference $one): bool => $this->by($one) !== []);

        return new ChosenChanges(
            array_values(array_diff(array_column($this->differences, 'id'), array_column($blocked, 'id'))),
            array_filter($blocked, static fn (Difference $one): bool => $one->trigger === '') === [],
        );
    }
}
