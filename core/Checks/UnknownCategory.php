<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Evaluation\Relation;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Comparison;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Severity;
use SilverParrot\Source\Suggestions;

/**
 * A category that is compared with and that the streaming service does not have. Silent where its categories are not
 * known.
 */
final readonly class UnknownCategory extends AbstractCheck
{
    public function code(): string
    {
        return 'unknown-category';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return 'There is no category “{text}”.';
    }

    public function mend(): string
    {
        return 'Choose one that is there: “{nearest}” perhaps.';
    }

    public function reason(): string
    {
        return 'Compared with a category that never is, the condition never holds.';
    }

    public function look(CheckContext $at): array
    {
        $known = array_map(Fold::caseless(...), $at->around->categories);
        $findings = [];
        foreach ($known === [] ? [] : $at->texts as $text) {
            foreach (Part::expressions($text->response->parts) as $one) {
                $asked = $one instanceof Comparison && $one->relation === Relation::Is ? $one->left : null;
                if (
                    ! $one instanceof Comparison
                    || ! $asked instanceof Call
                    || ($asked->folded[1] ?? '') !== 'category'
                ) {
                    continue;
                }
                foreach ($one->right as $right) {
                    if (
                        $right instanceof Literal
                        && is_string($right->value)
                        && ! in_array(Fold::caseless(trim($right->value)), $known, true)
                    ) {
                        $nearest = Suggestions::to($right->value, $at->around->categories);
                        $findings[] = new Finding(
                            $this,
                            $right->span(),
                            $text->at,
                            ['text' => $right->value] + ($nearest === null ? [] : ['nearest' => $nearest]),
                            $nearest === null ? null : "\"$nearest\"",
                        );
                    }
                }
            }
        }

        return $findings;
    }
}
