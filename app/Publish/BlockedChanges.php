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
    /** @var array<string, list<array{number: int, command: Command|null, findings: list<Finding>}>> by id */
    private array $byId;

    /**
     * @param  list<Difference>  $differences
     * @param  FindingsOfPack  $findings  of the draft
     */
    public function __construct(private array $differences, FindingsOfPack $findings)
    {
        $kinds = array_column($differences, 'kind', 'id');
        $byId = [];
        foreach ($findings->errors() as $group) {
            $id = $group['command']->id ?? '';
            if (($kinds[$id] ?? '') !== 'dropped') {
                // An error of a command that did not change itself is one of what changed around it.
                $byId[isset($kinds[$id]) ? $id : ''][] = $group;
            }
        }
        $this->byId = $byId;
    }

    /**
     * What a change would bring to the air that cannot work.
     *
     * @return list<array{number: int, command: Command|null, findings: list<Finding>}>
     */
    public function by(Difference $difference): array
    {
        return $this->byId[$difference->id] ?? [];
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
