<?php

declare(strict_types=1);

namespace Tests\Core\Hearing;

use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Checks\Checks;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\FieldType;
use SilverParrot\Pack\Ladder;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Source\Finding;
use SilverParrot\Value\Moment;
use Tests\Core\Response\World;

/** What is said when somebody comes to another rank. */
final class RanksTest extends TestCase
{
    private const RISES = '[caller] is [outcome.after] now, not [outcome.before or "a nobody"]: [caller.pebbles].';

    public function test_a_rank_speaks_on_rising_and_on_falling_and_not_between(): void
    {
        $ladder = new Ladder('pebbles', [10 => 'Mate', 50 => 'Bosun'], '', false, true, self::RISES, '[caller] sank.');
        self::assertSame(
            [
                '!earn 5' => ['45'],
                '!earn 4' => ['49'],
                '!earn 1' => ['50', 'Tamsin is Bosun now, not Mate: 50.'],
                '!spend 41' => ['9', 'Tamsin sank.'],
                '!earn 60' => ['69', 'Tamsin is Bosun now, not a nobody: 69.'],
                '!spend 70' => [],
                '!gift' => ['7', 'Bram is Mate now, not a nobody: 17.'],
            ],
            $this->said($ladder, ['!earn 5', '!earn 4', '!earn 1', '!spend 41', '!earn 60', '!spend 70', '!gift']),
        );
    }

    public function test_by_all_ever_earned_spending_demotes_nobody(): void
    {
        $ladder = new Ladder('pebbles', [10 => 'Mate'], '', true, true, '[caller.rank]!', 'sank');
        self::assertSame(
            ['!earn 9' => ['49'], '!spend 49' => ['0'], '!earn 1' => ['1', 'Mate!'], '!spend 1' => ['0']],
            $this->said($ladder, ['!earn 9', '!spend 49', '!earn 1', '!spend 1']),
        );
    }

    public function test_a_list_goes_on_from_what_was_said_of_one_rank_to_the_next(): void
    {
        $ladder = new Ladder('pebbles', [50 => 'Bosun'], rises: 'An [list.tools]!', falls: '[list.tools].');
        self::assertSame(
            [
                '!earn 10' => ['50', 'An adze!'],
                '!spend 1' => ['49', 'mallet.'],
                '!earn 1' => ['50', 'An adze!'],
            ],
            $this->said($ladder, ['!earn 10', '!spend 1', '!earn 1']),
        );
    }

    public function test_what_is_said_of_a_rank_keeps_nobody_from_their_answer_and_changes_nothing(): void
    {
        $said = fn (string $rises, bool $isOn = true): array => $this->said(
            new Ladder('pebbles', [50 => 'Bosun'], '', false, $isOn, $rises),
            ['!earn 10', '!planks'],
        );
        self::assertSame(['!earn 10' => ['50'], '!planks' => ['3']], $said('[1 / 0]'));
        self::assertSame(['!earn 10' => ['50'], '!planks' => ['3']], $said('[add 1 to counter.planks]'));
        self::assertSame(['!earn 10' => ['50'], '!planks' => ['3']], $said('Ahoy', false));
        self::assertSame(
            ['!earn 10' => ['50', 'Ahoy, after 3 planks'], '!planks' => ['3']],
            $said('Ahoy, after [counter.planks] planks'),
        );
        $pack = new Pack(
            World::pack()->channel,
            fields: ['pebbles' => new Field('pebbles', FieldType::Points)],
            ladders: ['pebbles' => new Ladder('pebbles', [1 => 'a'], rises: '[caler]', falls: 'fine')],
        );
        self::assertContains(
            '/ladders/0/rises',
            array_map(static fn (Finding $one): string => $one->at, Checks::of($pack)),
        );
    }

    /**
     * @param  list<string>  $lines
     * @return array<string, list<string>>
     */
    private function said(Ladder $ladder, array $lines): array
    {
        $world = World::pack();
        $say = static fn (string $trigger, string $text) => Say::on($trigger, $text)->gated(Cooldown::none());
        $pack = new Pack(
            $world->channel,
            commands: [
                $say('!earn', '[add word 1 to caller.pebbles]'),
                $say('!spend', '[take word 1 from caller.pebbles]'),
                $say('!gift', '[take 0 from caller.pebbles | quiet][set target.pebbles to 17 | quiet]7'),
                $say('!planks', '[counter.planks]'),
            ],
            counters: $world->counters,
            lists: $world->lists,
            fields: $world->fields,
            cast: $world->cast,
            ladders: ['pebbles' => $ladder],
        );
        $rehearsal = new Rehearsal($pack, World::situation($pack), '1', ChatProfile::stream());
        $said = [];
        foreach ($lines as $at => $line) {
            $typed = $line === '!gift' ? '!gift bram' : $line;
            $said[$line] = $rehearsal->line(
                "line $at",
                World::people()[0]->person(),
                $typed,
                (Moment::fromIso(World::NOW) ?? new Moment(0))->plusMillis($at * 60_000),
            )->texts();
        }

        return $said;
    }
}
