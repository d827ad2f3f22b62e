<?php

declare(strict_types=1);

namespace Tests\Core\Hearing;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use SilverParrot\Actions\ActionDone;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Document\Document;
use SilverParrot\Format\CommandFormat;
use SilverParrot\Hearing\Deeds\Edited;
use SilverParrot\Hearing\Deeds\PackEdit;
use SilverParrot\Hearing\Deeds\PackEdits;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Flood;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Timer;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Value\Moment;
use Tests\Core\Response\World;

/** The author’s work done from the chat: in a rehearsal it is the rehearsal’s pack that changes. */
final class PackDeedsTest extends TestCase
{
    public function test_a_whole_evening_of_it_each_told_whether_it_was_done_or_what_was_wrong(): void
    {
        $chat = new Rehearsal($this->pack(), World::situation($this->pack()), '1', ChatProfile::stream());
        $bram = World::people()[1]->person();
        foreach (
            [
                '!make glue Two coats, [caller].' => 'Now !glue: Two coats, [caller].',
                '!glue' => 'Two coats, Bram.',
                '!make !glue again' => 'No: actions.taken !glue',
                '!make' => 'No: actions.no-command-named',
                '!make x' => 'No: actions.no-text',
                '!make bad Hello [wrods]' => 'No: actions.finding Nothing is named wrods. Did you mean words?',
                '!make count [add 1 to counter.planks]' => 'No: actions.no-verbs',
                '!make web [lookup.tide.high]' => 'No: actions.no-look-ups',
                '!reword glue Three coats.' => 'Now !glue was “Two coats, [caller].”, is “Three coats.”',
                '!reword glue  Three coats.' => 'No: actions.is-already !glue',
                '!reword gleu x' => 'No: actions.no-command-but gleu !glue',
                '!reword boss x' => 'No: actions.not-theirs !boss',
                '!rename glue paste' => 'Now !glue is !paste',
                '!paste' => 'Three coats.',
                '!alias paste tar' => 'Now !paste answers to !tar too',
                '!tar' => 'Three coats.',
                '!alias paste make' => 'No: actions.taken !make',
                '!level paste moderators' => 'Now !paste: everyone, then moderators and up',
                '!level paste streamer' => 'No: actions.beyond-them !paste',
                '!level paste kings' => 'No: actions.no-level kings '.implode(', ', Level::words()),
                '!cool paste 30' => 'Now !paste: 10, then 30',
                '!cool paste -1' => 'No: actions.no-seconds -1 86400',
                '!cool paste 30s' => 'No: actions.is-already !paste',
                '!show paste' => 'Now !paste says Three coats.',
                '!switch paste off' => 'Now !paste is deeds.off',
                '!switch paste maybe' => 'No: actions.no-switch maybe',
                '!timer tea off' => 'Now tea is deeds.off',
                '!phrases glad' => 'No: actions.no-command glad',
                '!phrases !crew' => 'No: actions.no-phrases !crew',
                '!timer te' => 'No: actions.no-timer te tea tea',
                '!drop paste' => 'Now !paste is gone',
                '!drop paste ' => 'No: actions.no-command paste',
            ] as $line => $answer
        ) {
            self::assertSame([$answer], $this->say($chat, $bram, $line), $line);
        }
        self::assertSame([], $this->say($chat, $bram, '!paste'));
        // What only the streamer may, nobody else gets by it.
        $wren = Person::known('wren', 'wren', 'Wren', Levels::of(Level::Streamer));
        self::assertSame(
            ['Now !count: [add 1 to counter.planks] planks'],
            $this->say($chat, $wren, '!make count [add 1 to counter.planks] planks'),
        );
    }

    /** Whoever changes it: what comes of no line is beyond what its speaker may. */
    public function test_no_line_grants_more_than_its_speaker_holds(): void
    {
        $luck = new Randomizer(new Mt19937(14));
        $pack = $this->pack();
        $now = Moment::fromIso(World::NOW) ?? new Moment(0);
        $people = array_map(
            static fn (Level $level): Person => Person::known(
                "id-{$level->name}",
                "p{$level->name}",
                '',
                Levels::of($level),
            ),
            [Level::Everyone, Level::Regular, Level::Moderator, Level::Editor],
        );
        $deeds = ['add command', 'change command', 'rename command', 'switch command', 'delete command', 'set level',
            'set cooldown', 'add alias', 'switch timer'];
        $words = [
            'name' => ['boss', '!boss', 'glue', '!crew', '!new', '', "\u{202E}", 'tea', '!make'],
            'text' => ['[caller]', 'x', '[add 1 to counter.planks]', '[lookup.tide.high]', '/ban odo', ''],
            'to' => ['!boss', 'glue', 'tar', '!a b c d e f'],
            'on' => ['on', 'off', '', 'maybe'],
            'level' => ['everyone', 'streamer', 'moderator', 'editors', 'kings'],
            'seconds' => ['0', '30', '-1', '1e9'],
            'alias' => ['!boss', 'pitch', '!crew', 'oakum'],
            'cooldown' => ['', '', '5', 'x'],
        ];
        $done = 0;
        for ($round = 0; $round < 2_000; $round++) {
            $by = $people[$luck->getInt(0, 3)];
            $with = array_map(
                static fn (array $some): string => $some[$luck->getInt(0, count($some) - 1)],
                $words,
            );
            $edited = PackEdits::apply(new PackEdit($deeds[$luck->getInt(0, 8)], $with, $by), $pack, $now);
            if ($edited instanceof Edited) {
                $done++;
                foreach ([$edited->before, $edited->after] as $command) {
                    self::assertTrue(! $command instanceof Command || $command->isFor($by), json_encode($with) ?: '');
                }
                $others = static fn (array $all, mixed $but): array => array_values(
                    array_filter($all, static fn (mixed $one): bool => $one !== $but),
                );
                self::assertSame(
                    $others($pack->commands, $edited->before),
                    $others($edited->pack->commands, $edited->after),
                    'nothing else is touched',
                );
                foreach ($edited->after instanceof Command ? $edited->after->sources() : [] as $text) {
                    self::assertStringNotContainsString('[add 1', $text);
                    self::assertStringNotContainsString('lookup.', $text);
                }
                $pack = count($edited->pack->commands) > 40 ? $this->pack() : $edited->pack;
            }
            self::assertTrue($edited instanceof Edited || $edited instanceof ActionDone && ! $edited->isDone);
        }
        self::assertGreaterThan(100, $done);
        self::assertEquals($this->pack()->command('!boss'), $pack->command('!boss'));
    }

    public function test_a_trigger_that_is_free_again_is_given_to_a_command_with_an_id_of_its_own(): void
    {
        $chat = new Rehearsal($this->pack(), World::situation($this->pack()), '1', ChatProfile::stream());
        $bram = World::people()[1]->person();
        foreach (['!make glue one', '!rename glue paste', '!make glue two'] as $line) {
            self::assertNotSame([], $this->say($chat, $bram, $line), $line);
        }
        self::assertSame(['one'], $this->say($chat, $bram, '!paste'));
        self::assertSame(['two'], $this->say($chat, $bram, '!glue'));
        $this->say($chat, $bram, '!reword glue three');
        self::assertSame(['one'], $this->say($chat, $bram, '!paste'));
        self::assertSame(['three'], $this->say($chat, $bram, '!glue'));
    }

    public function test_another_command_does_not_run_it(): void
    {
        $pack = $this->pack();
        $pack = $pack->withCommand(CommandFormat::read(Document::of([
            'trigger' => '!sly',
            'responses' => [['steps' => [['run' => '!make', 'words' => 'x y']]]],
            'if_it_fails' => '[outcome.reason]',
        ])));
        $chat = new Rehearsal($pack, World::situation($pack), '1', ChatProfile::stream());
        self::assertSame(['actions.not-run !make'], $this->say($chat, World::people()[1]->person(), '!sly'));
    }

    private function pack(): Pack
    {
        $does = static fn (string $trigger, string $deed, string $says): Command => CommandFormat::read(Document::of([
            'trigger' => $trigger,
            'responses' => [['steps' => [['do' => $deed], ['say' => $says]]]],
            'if_it_fails' => 'No: [outcome.reason]',
            'levels' => ['at_least' => 'moderator'],
        ]))->gated(Cooldown::none());

        return World::pack()->withFlood(new Flood(0, 0))->withCommands([
            $does('!make', 'add command', 'Now [outcome.name]: [outcome.after]'),
            $does('!reword', 'change command', 'Now [outcome.name] was “[outcome.before]”, is “[outcome.after]”'),
            $does('!rename', 'rename command', 'Now [outcome.before] is [outcome.after]'),
            $does('!switch', 'switch command', 'Now [outcome.name] is [outcome.after]'),
            $does('!drop', 'delete command', 'Now [outcome.name] is gone'),
            $does('!level', 'set level', 'Now [outcome.name]: [outcome.before], then [outcome.after]'),
            $does('!cool', 'set cooldown', 'Now [outcome.name]: [outcome.before], then [outcome.after]'),
            $does('!alias', 'add alias', 'Now [outcome.name] answers to [outcome.after] too'),
            $does('!show', 'show command', 'Now [outcome.name] says [outcome.after]'),
            $does('!timer', 'switch timer', 'Now [outcome.name] is [outcome.after]'),
            $does('!phrases', 'switch phrases', 'Now [outcome.name] by phrases: [outcome.after]'),
            Say::on('!boss', 'Aye.')->gated(ForLevels::atLeast(Level::Streamer)),
            Say::on('!crew', 'All hands.'),
        ])->withTimers([new Timer('tea', [Say::response('Tea!')])]);
    }

    /** @return list<string> */
    private function say(Rehearsal $chat, Person $by, string $line): array
    {
        static $heard = 0;
        $heard++;
        $at = (Moment::fromIso(World::NOW) ?? new Moment(0))->plusMillis($heard * 120_000);

        return $chat->line("line $heard", $by, $line, $at)->texts();
    }
}
