<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Coalesce;
use SilverParrot\Response\Syntax\Comparison;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Response\Syntax\Variable;
use SilverParrot\Response\Syntax\Words;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/** An “or” with a comparison on its right side alone. Silent where both sides are comparisons, and with parentheses. */
final readonly class OrBesideComparison extends AbstractCheck
{
    public function code(): string
    {
        return 'or-beside-comparison';
    }

    public function severity(): Severity
    {
        return Severity::Note;
    }

    public function sentence(): string
    {
        return 'It is easy to read this otherwise than it is meant: “or” takes the whole comparison, not its first '
            .'value alone.';
    }

    public function mend(): string
    {
        return 'Put parentheses around what belongs together.';
    }

    public function reason(): string
    {
        return '“a or b is c” means “a, or else whether b is c”.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            foreach (Part::expressions($text->response->parts) as $one) {
                $isNamed =
                    $one instanceof Coalesce
                    && ($one->left instanceof Call || $one->left instanceof Words || $one->left instanceof Variable);
                if (
                    $one instanceof Coalesce
                    && $isNamed
                    && $one->right instanceof Comparison
                    && ! self::inParentheses($text->response->text, $one->right->span()->from)
                ) {
                    $findings[] = new Finding($this, $one->span(), $text->at);
                }
            }
        }

        return $findings;
    }

    private static function inParentheses(string $text, int $from): bool
    {
        return str_ends_with(rtrim(mb_substr($text, 0, $from)), '(');
    }
}
