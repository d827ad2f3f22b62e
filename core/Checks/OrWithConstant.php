<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Evaluation\Relation;
use SilverParrot\Response\Syntax\Coalesce;
use SilverParrot\Response\Syntax\Comparison;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/** A comparison with a constant behind its “or”. Silent on comparisons on both sides. */
final readonly class OrWithConstant extends AbstractCheck
{
    public function code(): string
    {
        return 'or-with-constant';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return '{text} is a value by itself, so this always holds.';
    }

    public function mend(): string
    {
        return 'Write “is one of {instead}”.';
    }

    public function reason(): string
    {
        return '“is "A" or "B"” asks for A, and else takes B, which is there.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            foreach (Part::expressions($text->response->parts) as $one) {
                if (
                    $one instanceof Coalesce
                    && $one->right instanceof Literal
                    && $one->left instanceof Comparison
                    && $one->left->relation === Relation::Is
                    && $one->right->value !== null
                ) {
                    $written = static fn (Expression $value): string => mb_substr(
                        $text->response->text,
                        $value->span()->from,
                        $value->span()->to - $value->span()->from,
                    );
                    $first = $written($one->left->right[0]);
                    $findings[] = new Finding($this, $one->right->span(), $text->at, [
                        'text' => $written($one->right),
                        'instead' => $first.', '.$written($one->right),
                    ]);
                }
            }
        }

        return $findings;
    }
}
