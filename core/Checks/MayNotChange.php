<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Pack\ChangeRule;
use SilverParrot\Pack\LevelRule;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Syntax\Assignment;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/**
 * A command that people may use who may not change what it changes. Silent where the command is for those alone who
 * may.
 */
final readonly class MayNotChange extends AbstractCheck
{
    public function code(): string
    {
        return 'may-not-change';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return 'This command is for {who}, but {rule}.';
    }

    public function mend(): string
    {
        return 'Let only {may} use the command, or let more people change {name}.';
    }

    public function reason(): string
    {
        return 'Others get no answer, and take the command for broken.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            $gate = $text->command->gates->get(ForLevels::class)->rule;
            foreach (Part::expressions($text->response->parts) as $one) {
                $rule = $one instanceof Assignment ? self::rule($one->place, $at->pack) : null;
                if (! $one instanceof Assignment || $rule === null) {
                    continue;
                }
                $name = implode('.', $one->place->path);
                $needs = self::needs($rule, self::isOfOthers($one->place), $gate);
                if ($needs !== null) {
                    $findings[] = new Finding($this, $one->span(), $text->at, [
                        'who' => $gate->inWords(),
                        'rule' => "only $needs may change $name",
                        'may' => $needs,
                        'name' => $name,
                    ]);
                }
            }
        }

        return $findings;
    }

    private static function rule(Call $place, Pack $pack): ?ChangeRule
    {
        $name = $place->folded[1] ?? '';

        return match ($place->folded[0]) {
            'counter' => ($pack->counters[$name] ?? null)?->changes,
            'caller', 'target' => $pack->field($name)?->changes,
            default => null,
        };
    }

    /** @return string|null whom the gate would have to keep to; null where it does */
    private static function needs(ChangeRule $rule, bool $isOfOthers, LevelRule $gate): ?string
    {
        $ofOthers = new LevelRule(atLeast: Level::Moderator);

        return match (true) {
            self::leavesOut($gate, $rule->levels) => $rule->levels->inWords(),
            $rule->ownOnly && $isOfOthers && self::leavesOut($gate, $ofOthers) => $ofOthers->inWords(),
            default => null,
        };
    }

    private static function isOfOthers(Call $place): bool
    {
        return $place->folded[0] === 'target' || ($place->for !== null && $place->for->key() !== 'caller');
    }

    /** Whether the gate lets somebody in whom the rule does not. */
    private static function leavesOut(LevelRule $gate, LevelRule $rule): bool
    {
        foreach (Level::cases() as $level) {
            $held = Levels::of($level);
            if ($gate->admits($held) && ! $rule->admits($held)) {
                return true;
            }
        }

        return false;
    }
}
