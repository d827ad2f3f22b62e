<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Chat\Level;
use SilverParrot\Response\Evaluation\Relation;
use SilverParrot\Response\Syntax\Comparison;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/**
 * The highest level compared with one that is mostly held along with a higher one: a VIP who subscribes is no
 * “subscriber” there. Silent on moderators and above, who are asked for by their highest level on purpose.
 */
final readonly class LevelIsHighest extends AbstractCheck
{
    private const HELD_ALONG = [Level::Follower, Level::Regular, Level::Subscriber, Level::Vip];

    public function code(): string
    {
        return 'level-is-highest';
    }

    public function severity(): Severity
    {
        return Severity::Note;
    }

    public function sentence(): string
    {
        return 'This leaves out {level} who hold a higher level too: {name} is only the highest.';
    }

    public function mend(): string
    {
        return 'Write {instead}.';
    }

    public function reason(): string
    {
        return 'People hold several levels, and a moderator may subscribe as well.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            foreach (Part::expressions($text->response->parts) as $one) {
                $level = $one instanceof Comparison ? self::compared($one) : null;
                if ($one instanceof Comparison && $level !== null) {
                    $name = $text->written($one->left->span());
                    $instead = ($one->isNegated ? 'not ' : '')."{$name}s contains \"{$level->word()}\"";
                    $findings[] = new Finding(
                        $this,
                        $one->span(),
                        $text->at,
                        ['level' => $level->plural(), 'name' => $name, 'instead' => $instead],
                        $instead,
                    );
                }
            }
        }

        return $findings;
    }

    private static function compared(Comparison $one): ?Level
    {
        $right = $one->right[0];
        $isOne = $one->relation === Relation::Is && count($one->right) === 1 && $one->left->isLevel();
        $level = $isOne && $right instanceof Literal && is_string($right->value) ? Level::named($right->value) : null;

        return in_array($level, self::HELD_ALONG, true) ? $level : null;
    }
}
