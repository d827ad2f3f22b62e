<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Syntax\AndAlso;
use SilverParrot\Response\Syntax\Arithmetic;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Choice;
use SilverParrot\Response\Syntax\Coalesce;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\Syntax\Minus;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Response\Syntax\Roll;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/**
 * A condition whose answer is known before anybody says a line: from floors and ceilings, what a roll can be, the
 * levels there are, kinds that never are the same, what an earlier branch has taken. Silent on everything that a line,
 * memory or the service decides, and on a constant alone.
 */
final readonly class NeverHolds extends AbstractCheck
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

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            foreach (Part::all($text->response->parts) as $part) {
                if ($part instanceof Choice) {
                    array_push($findings, ...$this->in($part, $text, $at));
                }
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function in(Choice $choice, ReadText $text, CheckContext $at): array
    {
        $conditions = $choice->values();
        $findings = [];
        $all = ConditionSampler::of($conditions, $text->estimate->values, $at->pack, $at->around->profile);
        foreach ($all as $branch => $holds) {
            $condition = $conditions[$branch];
            if ($holds === null || self::isConstant($condition)) {
                continue;
            }
            $alone =
                $branch === 0
                    ? $holds
                    : ConditionSampler::of([$condition], $text->estimate->values, $at->pack, $at->around->profile)[0];
            // What always holds once the others are out is only another way to write [else].
            if ($alone === $holds || ! $holds) {
                $findings[] = new Finding($this, $condition->span(), $text->at, [
                    'never' => $holds ? 'always' : 'never',
                    'why' => $alone === $holds ? '' : ' here: a branch before it has taken it all',
                ]);
            }
        }

        return $findings;
    }

    /** A count alone and a text beside an “or” have checks of their own. */
    private static function isConstant(Expression $condition): bool
    {
        return $condition instanceof Literal
            || $condition instanceof Call
            || $condition instanceof Arithmetic
            || $condition instanceof Minus
            || $condition instanceof Roll
            || (($condition instanceof Coalesce || $condition instanceof AndAlso)
                && (self::isConstant($condition->left) || self::isConstant($condition->right)));
    }
}
