<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Checks\AbstractCheck;
use SilverParrot\Checks\CheckContext;
use SilverParrot\Checks\ReadText;
use SilverParrot\Hearing\Steps\Perform;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Filtered;
use SilverParrot\Response\Vocabulary\HandlesGaps;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/**
 * A part of `outcome` where there is none: in a response, or in a reply for another gate. Silent where an “or” or
 * “default” stands behind it, and in conditions.
 */
final readonly class OutcomeOutOfPlace extends AbstractCheck
{
    public function code(): string
    {
        return 'outcome-out-of-place';
    }

    public function severity(): Severity
    {
        return Severity::Error;
    }

    public function sentence(): string
    {
        return '“{name}” is always nothing here.';
    }

    public function mend(): string
    {
        return '{mend}.';
    }

    public function reason(): string
    {
        return 'The sentence would have a hole.';
    }

    public function look(CheckContext $at): array
    {
        $refusals = GateSettings::refusals();
        $findings = [];
        foreach ($at->texts as $text) {
            $refusal = $refusals[basename($text->textPath)] ?? null;
            $gives = match (true) {
                $text->isResponse() => Perform::givenBefore($text->command, $text->textPath),
                $text->textPath === 'if_it_fails' => [
                    'reason',
                    ...Perform::isIn($text->command) ? ['name', 'needs', 'has', 'nearest'] : [],
                ],
                default => ['name', 'reason', ...$refusal->gives ?? []],
            };
            foreach (self::required($text) as $call) {
                $part = $call->folded[1] ?? '';
                if ($part !== '' && ! in_array($part, $gives, true)) {
                    $findings[] = new Finding($this, $call->span(), $text->at, [
                        'name' => "outcome.$part",
                        'mend' => $gives === []
                                ? 'Write it in a refusal reply, where something was refused'
                                : 'Write '
                                    .implode(
                                        ' or ',
                                        array_map(static fn (string $one): string => "“outcome.{$one}”", $gives),
                                    ),
                    ]);
                }
            }
        }

        return $findings;
    }

    /** @return list<Call> parts of outcome that are said as they are */
    private static function required(ReadText $text): array
    {
        $required = [];
        foreach ($text->estimate->slots as $one) {
            $value = $one->slot->value;
            while ($value instanceof Filtered && ! $value->filter instanceof HandlesGaps) {
                $value = $value->value;
            }
            if ($value instanceof Call && $value->folded[0] === 'outcome' && ! $one->slot->isQuiet) {
                $required[] = $value;
            }
        }

        return $required;
    }
}
