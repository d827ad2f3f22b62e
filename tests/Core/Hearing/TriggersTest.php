<?php

declare(strict_types=1);

namespace Tests\Core\Hearing;

use PHPUnit\Framework\TestCase;
use SilverParrot\Checks\CheckContext;
use SilverParrot\Checks\CheckEnvironment;
use SilverParrot\Checks\Checks;
use SilverParrot\Document\Document;
use SilverParrot\Format\CommandFormat;
use SilverParrot\Hearing\AliasOffers;
use SilverParrot\Hearing\LineMatch;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Hearing\TriggerMatch;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Phrase;
use SilverParrot\Pack\Triggers;
use SilverParrot\Source\Finding;
use SilverParrot\Source\LooseFold;

/** With which words a line begins, and whose they are where it could be several. */
final class TriggersTest extends TestCase
{
    public function test_the_longest_trigger_wins_and_an_exact_spelling_before_one_that_is_meant(): void
    {
        $pack = self::pack(
            Say::on('!tide', 'x')->alsoOn('!high  water'),
            Say::on('!tide porth', 'x'),
            Say::on('!épée', 'x'),
            Say::on('!epee', 'x'),
            Say::on('!Ölzeug', 'x'),
            Say::on('?how long is it', 'x'),
        );
        foreach (
            [
                '!tide' => ['!tide', '!tide', ''],
                '!TIDE porthole' => ['!tide', '!TIDE', 'porthole'],
                "!Tide \u{A0} Porth  now" => ['!tide porth', '!Tide Porth', 'now'],
                '!épée a' => ['!épée', '!épée', 'a'],
                '!Epee a' => ['!epee', '!Epee', 'a'],
                '!èpee' => ['!épée', '!èpee', ''],
                '!olzeug' => ['!Ölzeug', '!olzeug', ''],
                "\u{FF01}tide" => ['!tide', "\u{FF01}tide", ''],
                "\u{00A1}tide now" => ['!tide', "\u{00A1}tide", 'now'],
                "\u{2757}\u{FE0F}tide" => ['!tide', "\u{2757}\u{FE0F}tide", ''],
                '？how long is it ?' => ['?how long is it', '？how long is it', '?'],
                '?how long is' => null,
                'tide' => null,
                '! tide' => null,
            ] as $line => $match
        ) {
            $found = TriggerMatch::in($pack, $line);
            self::assertSame(
                $match,
                $found === null ? null : [$found->command->trigger, $found->typed, $found->words],
                $line,
            );
        }
    }

    public function test_every_trigger_is_found_as_it_is_written_whatever_else_there_is(): void
    {
        $words = ['!a', '!á', '!A b', '!a b', '!ä b c', '!ab', '！a', '?a b c d e', 'ω', 'ώ', 'ﬁn', 'fin', 'हिन्दी'];
        foreach ($words as $first) {
            foreach ($words as $second) {
                $pack = self::pack(Say::on($first, 'x'), Say::on($second, 'x'));
                $found = TriggerMatch::in($pack, "$second and more");
                self::assertNotNull($found);
                self::assertSame('and more', $found->words);
                self::assertSame(LooseFold::of($second), LooseFold::of($found->command->trigger));
            }
        }
    }

    public function test_a_command_without_a_trigger_is_set_off_by_its_phrases_alone_and_kept_so(): void
    {
        $command = CommandFormat::read(Document::of([
            'trigger' => 'greeting',
            'name_only' => true,
            'phrases' => ['ahoy all'],
            'responses' => [['text' => 'Ahoy.']],
        ]));
        $pack = self::pack($command);
        self::assertNull(TriggerMatch::in($pack, 'greeting'));
        self::assertSame('greeting', LineMatch::in($pack, 'Ahoy, all!')?->command->trigger);
        self::assertTrue(CommandFormat::write($command)['name_only'] ?? false);
        self::assertSame(
            [],
            array_filter(
                self::findings($pack),
                static fn (string $code): bool => str_starts_with($code, 'trigger-'),
            ),
            'nothing is wrong with a name',
        );
    }

    public function test_what_collides_is_found_with_a_line_that_shows_it(): void
    {
        $pack = self::pack(
            Say::on('!épée', 'x')->saidAs(new Phrase('wet paint'), new Phrase('(broken')),
            Say::on('!epee', 'x')->saidAs(new Phrase('mind .. wet paint'), new Phrase('glue')),
            Say::on('!c', 'x')->saidAs(new Phrase('WET, paint'), new Phrase('own words')),
        );
        self::assertSame(
            [
                'phrase-shared /commands/0/phrases/0 “mind wet paint” sets off “wet paint” here and '
                    .'“mind .. wet paint” of !epee, and !epee answers.',
                'phrase-shared /commands/2/phrases/0 “wet paint” sets off “WET, paint” here and “wet paint” of !épée, '
                    .'and !épée answers.',
                'trigger-alike /commands/1/trigger !epee and !épée are the same to whoever types no accents: “!epee” '
                    .'sets off !epee.',
            ],
            self::told($pack),
        );
        // Between equals a place decides, and quiets it; what is never heard at all is found whatever its place.
        $equals = static fn (Phrase $other): array => self::told(self::pack(
            Say::on('!a', 'x')->saidAs(new Phrase('(glue/paint) .. dry')),
            Say::on('!b', 'x')->saidAs($other),
        ));
        self::assertCount(1, $equals(new Phrase('glue .. dry')));
        self::assertCount(0, $equals(new Phrase('glue .. dry', place: 1)));
        self::assertCount(0, $equals(new Phrase('glue .. dry', isOn: false)));
        self::assertCount(1, $equals(new Phrase('(glue/paint) .. dry', place: 1)));
        self::assertCount(1, $equals(new Phrase('the glue .. dry', place: 1)), 'more words are no place');
        self::assertSame([], self::told(self::pack(
            Say::on('!a', 'x')->saidAs(new Phrase('wet paint'), new Phrase('mind .. wet paint')),
            Say::on('!b', 'x')->saidAs(new Phrase('dry paint')),
        )));
    }

    public function test_a_line_follows_a_command_that_is_called_otherwise_also_by_several_words(): void
    {
        $from = new Triggers('!tide porth', ['!flut']);
        self::assertSame('!ebb now', TriggerMatch::renamed('!Tide  Porth now', $from, new Triggers('!ebb')));
        self::assertSame('!ebb porth', TriggerMatch::renamed('!flut', $from, new Triggers('!ebb porth')));
        self::assertSame('!tide', TriggerMatch::renamed('!tide', $from, new Triggers('!ebb')));
    }

    public function test_what_people_type_as_well_is_offered_as_aliases(): void
    {
        foreach (
            [
                '!tide' => ['!tides'],
                '!boats' => ['!boat', '!boa', '!boast', '!boatss'],
                '!varnish' => ['!varnishs', '!var', '!varnihs', '!varnishh'],
                '!pebble' => ['!pebbles', '!peb', '!pebbel', '!peble'],
                '!no' => [],
                'tide' => [],
                '!tide porth' => [],
            ] as $trigger => $offers
        ) {
            self::assertSame($offers, AliasOffers::of(new Triggers($trigger)), $trigger);
        }
        self::assertSame(['!boa', '!boatss'], AliasOffers::of(new Triggers('!boats', ['!Boat', '!boast'])));
        self::assertSame([], AliasOffers::of(new Triggers('greeting', isNameOnly: true)));
    }

    private static function pack(Command ...$commands): Pack
    {
        return Pack::blank()->withCommands(array_values($commands));
    }

    /** @return list<string> */
    private static function told(Pack $pack): array
    {
        $told = [];
        foreach (Checks::acrossCommands() as $check) {
            foreach ($check->look(CheckContext::at($pack, new CheckEnvironment)) as $finding) {
                $told[] = "{$finding->kind->code()} {$finding->at} {$finding->sentence()}";
            }
        }
        sort($told);

        return $told;
    }

    /** @return list<string> */
    private static function findings(Pack $pack): array
    {
        return array_merge([], ...array_map(
            static fn ($check): array => array_map(
                static fn (Finding $one): string => $one->kind->code(),
                $check->look(CheckContext::at($pack, new CheckEnvironment)),
            ),
            Checks::all(),
        ));
    }
}
