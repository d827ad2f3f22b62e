<?php

declare(strict_types=1);

namespace Tests\Core\Hearing\Phrases;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use SilverParrot\Actions\ActionDone;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Checks\CheckContext;
use SilverParrot\Checks\CheckEnvironment;
use SilverParrot\Checks\Checks;
use SilverParrot\Checks\PhraseMisses;
use SilverParrot\Document\Document;
use SilverParrot\Format\CommandFormat;
use SilverParrot\Format\PhraseFormat;
use SilverParrot\Hearing\Deeds\Edited;
use SilverParrot\Hearing\Deeds\PackEdit;
use SilverParrot\Hearing\Deeds\PackEdits;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\Enabled;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Hearing\Phrases\LineWords;
use SilverParrot\Hearing\Phrases\OneLetter;
use SilverParrot\Hearing\Phrases\PhraseFlaw;
use SilverParrot\Hearing\Phrases\PhraseIndex;
use SilverParrot\Hearing\Phrases\PhraseOrder;
use SilverParrot\Hearing\Phrases\PhraseSyntax;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Emote;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Phrase;
use SilverParrot\Pack\Triggers;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\MessageKeys;
use SilverParrot\Source\Words;
use SilverParrot\Value\Moment;
use Tests\Core\Response\World;
use Tests\Outside;

/** Words that set a command off wherever they stand in a line. */
final class PhrasesTest extends TestCase
{
    /** @return iterable<string, array{string, list<string>, list<string>}> phrase, lines with it, lines without */
    public static function phrases(): iterable
    {
        yield 'words in order, at their boundaries' => [
            'high tide',
            ['when is high tide?', 'HIGH TIDE!!', 'high... tide', "the high\u{00A0}tide"],
            ['tide high', 'high tides', 'the hightide', 'high', 'thigh tide', 'high and low tide'],
        ];
        yield 'accents and apostrophes' => [
            'crème brûlée isn’t',
            ['a creme brulee isnt one', 'CRÈME BRÛLÉE ISN\'T', 'Creme brulee isn’t'],
            ['crime brulee isnt'],
        ];
        yield 'Greek without accents, and no other letters' => ['Ναύτης', ['ο ναυτης'], ['nautes']];
        yield 'what looks like an accent elsewhere is a letter' => ['мой', ['это мой'], ['это мои']];
        yield 'gaps' => [
            'when .. glue … dry',
            ['when will the glue be dry', 'when glue dry', 'when is that awful yellow glue of yours ever dry'],
            ['glue dry when', 'when a b c d e f g glue dry'],
        ];
        yield 'alternatives, one of which may be nothing' => [
            '(the/) (boat/ship of dreams) name',
            ['the boat name', 'ship of dreams name?', 'boat name'],
            ['ship name', 'the name'],
        ];
        yield 'alternatives that are parts of words' => [
            'my boat(s/) (un/re)glued',
            ['my boats reglued', 'is my boat unglued?'],
            ['my boat glued', 'my boat s reglued', 'my boat un glued'],
        ];
        yield 'gaps among alternatives, and one behind another' => [
            '(when .. dry/drying time) of … .. glue',
            ['when is it dry of that glue', 'drying time of glue'],
            ['when dry glue', 'drying of glue'],
        ];
        yield 'signs that are meant' => ['ahoy \(loud\)', ['AHOY (LOUD)', 'ahoy loud'], ['ahoy']];
        yield 'numbers' => ['mark 2', ['we have the mark 2 now'], ['mark 22', 'mark two']];
        yield 'emotes as they are' => [
            'coveWave coveWave',
            ['hi coveWave coveWave'],
            ['covewave covewave', 'coveWave'],
        ];
        yield 'writing without spaces' => ['満潮', ['満潮はいつ'], ['干潮はいつ']];
    }

    public function test_a_phrase_that_is_moved_stands_there_and_wins_from_there_on(): void
    {
        $texts = ['high tide', 'tide', 'tide table', 'low tide', '(tide/ebb)', 'ebb tide'];
        $pack = $this->pack(...array_map(
            static fn (int $at, string $text): Command => Say::on("!c$at", 'x')->saidAs(new Phrase($text)),
            array_keys($texts),
            $texts,
        ));
        $told = static fn (Pack $of): array => array_map(
            static fn (array $one): string => $one['phrase']->text,
            PhraseOrder::of($of)->phrases,
        );
        $order = ['high tide', 'tide table', 'low tide', 'ebb tide', 'tide', '(tide/ebb)'];
        self::assertSame($order, $told($pack), 'the most words first, then as they stand');
        $random = new Randomizer(new Mt19937(14));
        for ($times = 0; $times < 200; $times++) {
            [$from, $to] = [$random->getInt(0, 5), $random->getInt(-1, 6)];
            $places = PhraseOrder::of($pack)->moved($from, $to);
            foreach ($pack->commands as $one) {
                $given = $places[$one->id][$one->triggers->phrases[0]->text] ?? null;
                $pack = $given === null
                    ? $pack
                    : $pack->withCommand($one->saidAs($one->triggers->phrases[0]->placed($given)), $one->trigger);
            }
            $among = $from < 4 ? [0, 3] : [4, 5];
            array_splice($order, max($among[0], min($among[1], $to)), 0, array_splice($order, $from, 1));
            self::assertSame($order, $told($pack));
            self::assertSame($order[4], PhraseIndex::of($pack)->in('the tide')?->phrase->text);
            $first = array_search('high tide', $order, true) < array_search('tide table', $order, true);
            self::assertSame(
                $first ? 'high tide' : 'tide table',
                PhraseIndex::of($pack)->in('high tide table')?->phrase->text,
            );
        }
    }

    /**
     * @param  list<string>  $are
     * @param  list<string>  $areNot
     */
    #[DataProvider('phrases')]
    public function test_what_a_phrase_is_in(string $phrase, array $are, array $areNot): void
    {
        $index = PhraseIndex::of($this->pack(Say::on('!a', 'x')->saidAs(new Phrase($phrase))));
        foreach ($are as $line) {
            self::assertSame($phrase, $index->in($line)?->phrase->text, $line);
        }
        foreach ($areNot as $line) {
            self::assertNull($index->in($line), $line);
        }
    }

    public function test_what_is_no_phrase_is_told_with_its_place(): void
    {
        foreach (
            [
                '' => PhraseFlaw::Empty,
                ' !? ' => PhraseFlaw::Empty,
                '(a/b' => PhraseFlaw::BracketOpen,
                'a) b' => PhraseFlaw::BracketStray,
                '(a/(b))' => PhraseFlaw::BracketWithin,
                '.. a' => PhraseFlaw::OnlyGap,
                'a …' => PhraseFlaw::OnlyGap,
                '(a/) .. b' => PhraseFlaw::OnlyGap,
                str_repeat('(a/b) ', 7) => PhraseFlaw::TooMany,
                str_repeat('word ', 13) => PhraseFlaw::TooMany,
            ] as $text => $flaw
        ) {
            self::assertSame($flaw, PhraseSyntax::read((string) $text), (string) $text);
        }
        $pack = $this->pack(Say::on('!a', 'x')->saidAs(new Phrase('fine'), new Phrase('(broken')));
        self::assertContains(
            '/commands/0/phrases/1 phrase-broken',
            array_map(static fn (Finding $one): string => "{$one->at} {$one->kind->code()}", Checks::of($pack)),
        );
    }

    public function test_of_several_the_most_words_win_then_the_authors_order(): void
    {
        $index = PhraseIndex::of($this->pack(
            Say::on('!a', 'x')->saidAs(new Phrase('tide')),
            Say::on('!b', 'x')->saidAs(new Phrase('high .. tide'), new Phrase('low tide')),
            Say::on('!c', 'x')->saidAs(new Phrase('(high/low) tide')),
            Say::on('!off', 'x')->saidAs(new Phrase('when is high tide'))->gated(new Enabled(false)),
        ));
        self::assertSame('!a', $index->in('the tide')?->command->trigger);
        self::assertSame('!b', $index->in('when is high tide')?->command->trigger, 'what is switched off wins nothing');
        self::assertSame('!b', $index->in('low tide')?->command->trigger);
    }

    public function test_a_command_comes_before_phrases_and_where_the_winners_gate_is_closed_the_line_ends(): void
    {
        $rehearsal = new Rehearsal(
            $this->pack(
                Say::on('!tide', 'high at four')->gated(Cooldown::none()),
                Say::on('!ask', '[caller] asks in “[message]” [words or "-"]')
                    ->saidAs(new Phrase('when .. tide'))
                    ->gated(new Cooldown(0, 30)),
                Say::on('!low', 'lower')->saidAs(new Phrase('tide'))->gated(Cooldown::none()),
                Say::on('!mods', 'x')->saidAs(new Phrase('when is the big tide'))
                    ->gated(ForLevels::atLeast(Level::Moderator)),
            ),
            World::situation(World::pack()),
            '1',
            ChatProfile::stream(),
        );
        self::assertSame(['high at four'], $this->hear($rehearsal, '!tide when is the tide')->texts());
        self::assertSame(['Tamsin asks in “when is tide?” -'], $this->hear($rehearsal, 'when is tide?')->texts());
        $closed = $this->hear($rehearsal, 'when is tide?');
        self::assertSame(['person cooldown', []], [$closed->closed?->gate, $closed->texts()], 'not the other phrase');
        self::assertSame('level', $this->hear($rehearsal, 'when is the big tide')->closed?->gate);
        self::assertSame(['lower'], $this->hear($rehearsal, 'a tide at last')->texts());
        $why = $this->hear($rehearsal, 'the tide')->trace?->entries()[1]->message();
        self::assertSame('why.phrase !low tide', $why === null ? '' : (new MessageKeys)->of($why));
        self::assertNull($this->hear($rehearsal, 'nothing of the kind')->command);
    }

    public function test_a_long_word_may_have_one_wrong_letter_where_the_author_lets_it(): void
    {
        $index = PhraseIndex::of($this->pack(
            Say::on('!a', 'x')->saidAs(new Phrase('the caulking iron', true), new Phrase('planking')),
        ));
        foreach (['caulking', 'calking', 'caulkin', 'caulkking', 'cualking', 'caulkxng'] as $typed) {
            self::assertNotNull($index->in("the $typed iron"), $typed);
        }
        foreach (['the calkin iron', 'the caulking irn', 'te caulking iron', 'plankin'] as $line) {
            self::assertNull($index->in($line), $line);
        }
    }

    /** PHP's own levenshtein() knows all but two letters that changed places, which is tried beside it. */
    public function test_one_letter_is_what_an_edit_distance_of_one_is(): void
    {
        $random = new Randomizer(new Mt19937(14));
        for ($i = 0; $i < 4_000; $i++) {
            $one = $this->word($random, 6, 9);
            $other = $random->getInt(0, 3) === 0 ? $this->word($random, 5, 9) : $this->wrong($random, $one);
            $isSwap = false;
            for ($at = 0; $at + 1 < strlen($one); $at++) {
                $swapped = $one;
                [$swapped[$at], $swapped[$at + 1]] = [$one[$at + 1], $one[$at]];
                $isSwap = $isSwap || $swapped === $other;
            }
            $isOne = levenshtein($one, $other) <= 1 || $isSwap;
            self::assertSame($isOne, OneLetter::isAll($one, $other), "$one $other");
            if ($isOne) {
                self::assertNotSame([], array_intersect(OneLetter::left($one), OneLetter::left($other)));
            }
        }
    }

    /** A regular expression for each phrase, tried one after the other, finds the same. */
    public function test_the_tree_finds_what_a_regular_expression_for_each_phrase_finds(): void
    {
        $random = new Randomizer(new Mt19937(15));
        $some = ['a', 'bb', 'ccc', 'dd', 'e'];
        $pick = static fn (): string => $some[$random->getInt(0, 4)];
        for ($round = 0; $round < 150; $round++) {
            $commands = [];
            for ($number = 0; $number < 8; $number++) {
                $text = $pick();
                for ($more = $random->getInt(0, 3); $more > 0; $more--) {
                    $text .= [' ', ' .. ', ' '][$random->getInt(0, 2)]
                        .($random->getInt(0, 3) === 0 ? "({$pick()}/{$pick()} {$pick()})" : $pick());
                }
                $commands[] = Say::on("!c$number", 'x')->saidAs(new Phrase($text));
            }
            $index = PhraseIndex::of($this->pack(...$commands));
            for ($line = 0; $line < 20; $line++) {
                $said = implode(' ', array_map(static fn (): string => $pick(), range(1, $random->getInt(1, 9))));
                self::assertSame(self::byExpressions($commands, $said), $index->in($said)?->command->trigger, $said);
            }
        }
    }

    /** Unicode's WordBreakTest.txt 15.0: a word of a line is one of these, without its signs. */
    public function test_words_of_a_line_are_those_of_unicode(): void
    {
        $cases = 0;
        foreach (Outside::lines('unicode/auxiliary/WordBreakTest.txt') as $line) {
            $line = trim(explode('#', $line)[0]);
            if ($line === '' || str_contains($line, '003A')) {
                continue;
            }
            $words = [];
            foreach (explode('÷', trim($line, '÷ ')) as $hexes) {
                $word = implode('', array_map(
                    static fn (string $hex): string => mb_chr((int) hexdec(trim($hex))),
                    explode('×', $hexes),
                ));
                $words[] = self::bare($word);
            }
            $text = implode('', array_map(
                static fn (string $hex): string => mb_chr((int) hexdec($hex)),
                preg_split('/[^0-9A-F]+/', $line, -1, PREG_SPLIT_NO_EMPTY) ?: [],
            ));
            $isWord = static fn (string $word): bool => $word !== '';
            self::assertSame(
                array_values(array_filter($words, $isWord)),
                array_values(array_filter(array_map(self::bare(...), LineWords::of($text)), $isWord)),
                $line,
            );
            $cases++;
        }
        self::assertGreaterThan(1_400, $cases);
        $random = new Randomizer(new Mt19937(16));
        for ($i = 0; $i < 3_000; $i++) {
            $text = self::letters($random, "ab1 2.,;'_-!", $random->getInt(1, 14));
            $expected = array_values(array_filter(array_map(
                static fn (string $word): string => preg_replace('/[^a-z0-9]/', '', $word) ?? '',
                Words::of($text, 'root'),
            ), static fn (string $word): bool => $word !== ''));
            self::assertSame($expected, LineWords::of($text), $text);
        }
    }

    public function test_no_text_however_hostile_is_an_error_or_takes_long(): void
    {
        $long = implode(' .. ', [...array_fill(0, 11, 'a'), 'q']);
        $index = PhraseIndex::of($this->pack(
            Say::on('!a', 'x')->saidAs(new Phrase($long, true), new Phrase('zzzzzzz', true)),
        ));
        self::assertNull($index->in(str_repeat('a b ', 900).'zzzzz'), 'it ends after so many steps');
        foreach (Outside::hostileStrings() as $text) {
            $read = PhraseSyntax::read($text);
            self::assertTrue($read instanceof PhraseFlaw || $read !== []);
            $index->in($text);
        }
    }

    public function test_phrases_are_kept_in_the_document_as_they_were_typed(): void
    {
        $typed = PhraseFormat::typed([
            ['text' => ' when .. (glue/paint) dry '],
            ['text' => ' ', 'tolerant' => '1'],
            ['text' => 'the caulking iron', 'tolerant' => '1', 'cooldown' => '300'],
            ['text' => "ahoy\n\\(loud\\)", 'must' => ['AHOY (loud)', ''], 'must_not' => ['ahoy'], 'cooldown' => ''],
            ['text' => 'paste', 'off' => '1', 'place' => ' 7 '],
            'nonsense',
        ]);
        $command = CommandFormat::read(
            Document::of(['trigger' => '!a', 'responses' => [['text' => 'x']], 'phrases' => $typed]),
        );
        self::assertEquals(
            [
                new Phrase('when .. (glue/paint) dry'),
                new Phrase('the caulking iron', true, 300),
                new Phrase('ahoy \\(loud\\)', must: ['AHOY (loud)'], mustNot: ['ahoy']),
                new Phrase('paste', isOn: false, place: 7),
            ],
            $command->triggers->phrases,
        );
        self::assertSame(
            ['when .. (glue/paint) dry', ...array_slice($typed, 1)],
            CommandFormat::write($command)['phrases'] ?? null,
        );
        self::assertEquals([], $command->copied()->triggers->phrases, 'a copy takes nobody’s phrases over');
        self::assertEquals($command->triggers->phrases, $command->alsoOn('!b')->triggers->phrases);
        self::assertEquals(new Triggers('!a', ['!b'], $command->triggers->phrases), $command->alsoOn('!b')->triggers);
        $wrong = Document::of(['text' => 'x', 'cooldown' => 'soon']);
        PhraseFormat::read($wrong);
        self::assertSame(['wrong-kind'], array_map(
            static fn ($one): string => $one->kind->code(),
            $wrong->findings(),
        ));
    }

    public function test_lines_that_must_and_must_not_be_found_are_tried_at_every_change(): void
    {
        $look = static fn (Phrase $phrase): array => array_map(
            static fn ($one): string => $one->sentence(),
            (new PhraseMisses)->look(CheckContext::at(
                Pack::blank()->withCommand(Say::on('!a', 'x')->saidAs($phrase)),
                new CheckEnvironment,
            )),
        );
        $phrase = new Phrase('glue .. dry', must: ['Is the GLUE ever dry?'], mustNot: ['dry glue', 'the glue']);
        self::assertSame([], $look($phrase));
        self::assertSame(
            ['“Is the GLUE ever dry?” must be set off by “paint .. dry”, and it is not.'],
            $look($phrase->written('paint .. dry')),
        );
        self::assertSame(
            [
                '“dry glue” must not be set off by “glue”, and it is.',
                '“the glue” must not be set off by “glue”, and it is.',
            ],
            $look($phrase->written('glue')),
        );
    }

    public function test_a_cooldown_of_a_phrase_holds_back_the_phrase_alone(): void
    {
        $pack = Pack::blank()->withCommand(
            Say::on('!a', 'yes')
                ->gated(Cooldown::none())
                ->saidAs(new Phrase('wet paint', cooldown: 60), new Phrase('glue')),
        );
        $rehearsal = new Rehearsal($pack, new InitialState, '1', ChatProfile::stream());
        $person = Person::known('1', 'tamsin', 'Tamsin', Levels::of());
        foreach (
            [
                [0, 'wet paint', ''],
                [10, 'mind the wet paint', 'phrase cooldown'],
                [11, 'glue', ''],
                [12, '!a', ''],
                [59, 'wet paint', 'phrase cooldown'],
                [60, 'wet paint', ''],
                [61, 'wet paint', 'phrase cooldown'],
            ] as [$second, $line, $gate]
        ) {
            $outcome = $rehearsal->line("$second", $person, $line, new Moment(1_764_064_800_000 + $second * 1000));
            self::assertSame($gate, $outcome->closed->gate ?? '', "$line at $second");
        }
    }

    /** @param  list<Command>  $commands */
    private static function byExpressions(array $commands, string $line): ?string
    {
        $best = null;
        $most = 0;
        foreach ($commands as $command) {
            $read = PhraseSyntax::read($command->triggers->phrases[0]->text);
            foreach (is_array($read) ? $read : [] as $words) {
                $expression = '';
                foreach ($words as $at => $word) {
                    $before = $at === 0 || $words[$at - 1] === null ? '' : ' ';
                    $expression .= $word === null
                        ? '(?: \w+){0,'.PhraseSyntax::GAP.'} '
                        : $before.preg_quote($word, '/');
                }
                $count = count(array_filter($words, is_string(...)));
                if ($count > $most && preg_match("/(?<!\\w)$expression(?!\\w)/", $line) === 1) {
                    [$best, $most] = [$command->trigger, $count];
                }
            }
        }

        return $best;
    }

    private static function bare(string $word): string
    {
        $letters = preg_replace('/[^\p{L}\p{N}\p{So}]++/u', '', Fold::caseless($word)) ?? '';

        return preg_replace(
            '/\p{Mn}++/u',
            '',
            (string) \Normalizer::normalize($letters, \Normalizer::FORM_D),
        ) ?? '';
    }

    private function word(Randomizer $random, int $least, int $most): string
    {
        return self::letters($random, 'abc', $random->getInt($least, $most));
    }

    private static function letters(Randomizer $random, string $of, int $count): string
    {
        $letters = '';
        for (; $count > 0; $count--) {
            $letters .= $of[$random->getInt(0, strlen($of) - 1)];
        }

        return $letters;
    }

    private function wrong(Randomizer $random, string $word): string
    {
        $at = $random->getInt(0, strlen($word) - 1);
        $letter = self::letters($random, 'abc', 1);

        return match ($random->getInt(0, 3)) {
            0 => substr_replace($word, $letter, $at, 1),
            1 => substr_replace($word, '', $at, 1),
            2 => substr_replace($word, $letter, $at, 0),
            default => substr_replace($word, strrev(substr($word, $at, 2)), $at, 2),
        };
    }

    public function test_a_line_gets_one_answer_unless_another_phrase_is_to_answer_too(): void
    {
        $also = static fn (string $trigger, string $phrase, bool $isAlso, string $says): Command => Say::on(
            $trigger,
            $says,
        )->saidAs(new Phrase($phrase, isAlso: $isAlso));
        $count = '[add 1 to counter.planks] planks';
        $heard = static function (string $line, Command ...$commands): Outcome {
            $pack = World::pack()->withCommands(array_values($commands));
            $rehearsal = new Rehearsal($pack, World::situation($pack), '1', ChatProfile::stream());

            return $rehearsal->line(
                'line',
                World::people()[0]->person(),
                $line,
                Moment::fromIso(World::NOW) ?? new Moment(0),
            );
        };
        $glue = $also('!a', 'wet glue', false, 'a: '.$count);
        $dry = $also('!b', 'glue', false, 'b: '.$count);
        self::assertSame(['a: 4 planks'], $heard('the wet glue', $glue, $dry)->texts());
        $both = $heard('the wet glue', $glue, $also('!b', 'glue', true, 'b: '.$count));
        self::assertSame(['a: 4 planks', 'b: 5 planks'], $both->texts());
        $planks = array_values(array_filter(
            $both->authoredChanges(),
            static fn ($one): bool => $one->what === 'counter.planks',
        ));
        self::assertSame([[3, 5]], array_map(static fn ($one): array => [$one->from, $one->to], $planks));
        // Whoever is not let in by the other hears nothing of it; a line that is a command sets off no phrase.
        $closed = $also('!b', 'glue', true, 'b')->gated(ForLevels::atLeast(Level::Streamer));
        self::assertSame(['a: 4 planks'], $heard('the wet glue', $glue, $closed)->texts());
        self::assertSame(['a: 4 planks'], $heard('!a wet glue', $glue, $also('!b', 'glue', true, 'b'))->texts());
        $many = array_map(
            static fn (int $one): Command => $also("!m$one", 'glue'.str_repeat(' .. glue', $one), true, "m$one"),
            range(0, 6),
        );
        self::assertCount(
            1 + PhraseIndex::BESIDES,
            $heard(implode(' ', array_fill(0, 10, 'glue')), ...$many)->texts(),
        );
    }

    private function pack(Command ...$commands): Pack
    {
        return new Pack(
            World::pack()->channel,
            commands: array_values($commands),
            emotes: [new Emote('coveWave')],
        );
    }

    private function hear(Rehearsal $rehearsal, string $line): Outcome
    {
        static $number = 0;
        $now = (Moment::fromIso(World::NOW) ?? new Moment(0))->plusMillis(++$number * 1_000);

        return $rehearsal->line("line $number", World::people()[0]->person(), $line, $now);
    }

    public function test_of_equals_the_place_that_the_author_gave_decides_and_one_that_is_off_is_none(): void
    {
        $heard = static function (string $line, Phrase ...$phrases): ?string {
            $commands = [];
            foreach ($phrases as $phrase) {
                $commands[] = Say::on('!c'.count($commands), 'x')->saidAs($phrase);
            }

            return PhraseIndex::of(World::pack()->withCommands($commands))->in($line)?->command->trigger;
        };
        $glue = new Phrase('glue');
        $dry = new Phrase('dry');
        self::assertSame('!c0', $heard('dry glue', $glue, $dry), 'the order of the pack');
        self::assertSame('!c1', $heard('dry glue', $glue, new Phrase('dry', place: 9)));
        self::assertSame('!c0', $heard('dry glue', new Phrase('glue', place: 2), new Phrase('dry', place: 9)));
        self::assertSame('!c2', $heard('dry glue', new Phrase('glue', place: 2), $dry, new Phrase('dry glue')));
        // The same phrase of two: who has the place has it.
        self::assertSame('!c1', $heard('glue', $glue, new Phrase('glue', place: 1)));
        self::assertSame('!c1', $heard('dry glue', $glue->switched(false), $dry));
        self::assertNull($heard('dry glue', $glue->switched(false), $dry->switched(false)));
    }

    public function test_phrases_are_switched_from_the_chat_and_the_trigger_goes_on(): void
    {
        $command = Say::on('!glue', 'It is wet.')->saidAs(new Phrase('glue'), new Phrase('paste'));
        $pack = World::pack()->withCommands([$command]);
        $by = World::people()[1]->person();
        $now = Moment::fromIso(World::NOW) ?? new Moment(0);
        $edit = static fn (string $on, Pack $of): Edited|ActionDone => PackEdits::apply(
            new PackEdit('switch phrases', ['name' => 'glue', 'on' => $on], $by),
            $of,
            $now,
        );
        $off = $edit('off', $pack);
        self::assertInstanceOf(Edited::class, $off);
        self::assertNull(PhraseIndex::of($off->pack)->in('wet glue'));
        self::assertNotNull($off->pack->command('!glue'));
        self::assertEquals($off, $edit('', $pack), 'the other of the two');
        $on = $edit('', $off->pack);
        self::assertInstanceOf(Edited::class, $on);
        self::assertEquals($pack, $on->pack);
        self::assertInstanceOf(ActionDone::class, $edit('on', $pack));
    }
}
