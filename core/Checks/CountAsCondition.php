<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Choice;
use SilverParrot\Response\Syntax\Walk;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/** A counter or another number alone as a condition. Silent on texts and on what can be nothing. */
final readonly class CountAsCondition extends Concern
{
    public function code(): string
    {
        return 'count-as-condition';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return '{name} is a number, and a number always is a value, 0 too: this always holds.';
    }

    public function mend(): string
    {
        return 'Write {instead}.';
    }

    public function reason(): string
    {
        return '“when” asks whether there is a value.';
    }

    public function look(Looked $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            foreach (Walk::parts($text->response->parts) as $part) {
                foreach ($part instanceof Choice ? $part->branches : [] as [$condition]) {
                    $name = $condition instanceof Call ? implode('.', $condition->path) : '';
                    if ($condition instanceof Call && ($condition->folded[0] === 'counter' || in_array(implode('.', $condition->folded), ['channel.viewers', 'channel.followers'], true))) {
                        $findings[] = new Finding($this, $condition->span(), $text->at, ['name' => $name, 'instead' => "$name > 0"], "$name > 0");
                    }
                }
            }
        }

        return $findings;
    }
}
