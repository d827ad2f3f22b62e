<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Evaluation\Relation;
use SilverParrot\Response\Syntax\Comparison;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Response\Syntax\Variable;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/** A person who is compared with a text that has a space. */
final readonly class LoginWithSpace extends AbstractCheck
{
    public function code(): string
    {
        return 'login-with-space';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return 'Nobody is called “{login}”: a name to sign in with has no spaces.';
    }

    public function mend(): string
    {
        return 'Write it as the chat does, in one word.';
    }

    public function reason(): string
    {
        return 'It never holds.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            foreach (Part::expressions($text->response->parts) as $one) {
                $isPerson =
                    $one instanceof Comparison
                    && $one->relation === Relation::Is
                    && (($one->left->isPerson() && ! $one->left instanceof Variable)
                        || str_ends_with($one->left->place() ?? '', '.login'));
                foreach ($isPerson ? $one->right : [] as $right) {
                    if (
                        $right instanceof Literal
                        && is_string($right->value)
                        && preg_match('/\S\s+\S/u', $right->value) === 1
                    ) {
                        $findings[] = new Finding($this, $right->span(), $text->at, ['login' => $right->value]);
                    }
                }
            }
        }

        return $findings;
    }
}
