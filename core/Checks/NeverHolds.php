<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Choice;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/** A condition whose answer is known before anybody says a line: from floors and ceilings, what a roll can be, what an earlier branch has taken. Silent on everything that a line, memory or the service decides, and on a constant alone. */
final readonly class NeverHolds extends Concern
{
    public function code(): string
    {
        return 'never-holds';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return 'This condition {never} holds{why}.';
    }

    public function mend(): string
    {
        return 'Look at its numbers, or leave it out.';
    }

    public function reason(): string
    {
        return 'One of the texts behind it is {never} said.';
    }

    public function look(Looked $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            foreach (Walk::parts($text->response->parts) as $part) {
                $taken = [];
                foreach ($part instanceof Choice ? $part->branches : [] as [$condition]) {
                    $reckoned = Reckoning::holds($condition, $at->pack);
                    $range = Reckoning::range($condition, $at->pack);
                    if ($reckoned !== null && ! $condition instanceof Call) {
                        $findings[] = new Finding($this, $condition->span(), $text->at, ['never' => $reckoned ? 'always' : 'never', 'why' => '']);
                    } elseif ($range !== null && array_filter($taken, static fn (array $one): bool => $one[0] === $range[0] && $range[1]->isWithin($one[1])) !== []) {
                        $findings[] = new Finding($this, $condition->span(), $text->at, ['never' => 'never', 'why' => ' here: a branch before it has taken it all']);
                    }
                    if ($range !== null) {
                        $taken[] = $range;
                    }
                }
            }
        }

        return $findings;
    }
}
