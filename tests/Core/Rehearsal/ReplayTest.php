<?php

declare(strict_types=1);

namespace Tests\Core\Rehearsal;

use DateTimeZone;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\Heard;
use SilverParrot\Rehearsal\Replay\DraftedReplies;
use SilverParrot\Rehearsal\Replay\Forms\TableForm;
use SilverParrot\Rehearsal\Replay\LogForm;
use SilverParrot\Rehearsal\Replay\LogForms;
use SilverParrot\Rehearsal\Replay\LogReader;
use SilverParrot\Rehearsal\Replay\LogTime;
use SilverParrot\Rehearsal\Replay\OpenQuestions;
use SilverParrot\Rehearsal\Replay\TalkerGuess;
use SilverParrot\Rehearsal\Replay\WordsOfLog;
use SilverParrot\Rehearsal\TimedLine;
use SilverParrot\Response\Segments;
use SilverParrot\Value\Moment;
use Tests\Outside;

final class ReplayTest extends TestCase
{
    /**
     * What was said on a real server (ngircd 26.1 of Debian 12), as each client wrote it down: ii 1.9, and those of
     * Debian's packages irssi 1.4.3 and weechat-headless 3.8, run once and kept in logs/.
     *
     * @return list<array{string, string, string, bool}> file, its form, when the first line was said, whether seconds
     *     are told
     */
    public static function clients(): array
    {
        return [
            ['irssi.txt', 'angle', '2026-11-30T18:49:00Z', false],
            ['weechat.txt', 'tab', '2026-11-30T18:49:27Z', true],
            ['ii.txt', 'angle', '2026-11-30T18:49:59Z', true],
        ];
    }

    #[DataProvider('clients')]
    public function test_logs_that_clients_really_wrote_are_read(
        string $file,
        string $form,
        string $first,
        bool $hasSeconds,
    ): void {
        $lines = file(__DIR__."/logs/$file");
        self::assertIsArray($lines);
        self::assertSame($form, LogForms::recognise(array_values($lines)));
        [$read, $reader] = self::read($lines, $form);
        self::assertSame(0, $reader->unread, print_r($reader->shown, true));
        $said = array_map(static fn (ChatLine $one): string => "{$one->by->login}: {$one->text}", $read);
        self::assertSame([
            'odo: evening all',
            'pia: is the tide in yet?',
            'odo: !tide porth',
            'pia: https://charts.lantern-cove.example/old?a=1',
            'odo: waves at pia',
            'pia: odo: look < here > [and] here: 12:30',
            'odo: καλησπέρα, ça va? 🦜',
            'odo: <b>not a name</b>',
            'odo:   two  blanks',
        ], $said);
        $at = $read[0]->at->iso();
        self::assertSame($first, $hasSeconds ? $at : substr($at, 0, 17).'00Z');
    }

    /** @return list<array{string, string, string, string}> line, form, name, text */
    public static function lines(): array
    {
        return [
            ['[18:02:03] <@odo> a <b> c', 'angle', 'odo', 'a <b> c'],
            ['2026-11-25 18:02 <odo> hi', 'angle', 'odo', 'hi'],
            ['18:02 <odo>', 'angle', 'odo', ''],
            ["2026-11-25 18:02:03\t@odo\ta\tb", 'tab', 'odo', "a\tb"],
            ['{"timestamp": 1796064599, "user": {"name": "odo"}, "message": "hi"}', 'json', 'odo', 'hi'],
            ['{"time": "2026-11-25T18:02:03+01:00", "nick": "odo", "text": ""}', 'json', 'odo', ''],
            ['18:02:03 odo: a: b', 'plain', 'odo', 'a: b'],
            ['[2026-11-25 18:02] Odo_9: !tide', 'plain', 'Odo_9', '!tide'],
            ['25.11.2026 18:02 odo: hi', 'plain', 'odo', 'hi'],
            ['6:02 PM odo: hi', 'plain', 'odo', 'hi'],
            ['"2026-11-25 18:02:03","odo","say ""hi"", all"', 'table', 'odo', 'say "hi", all'],
            ['18:02;odo;a, b', 'table', 'odo', 'a, b'],
        ];
    }

    #[DataProvider('lines')]
    public function test_each_form_is_read_and_recognised(string $line, string $form, string $name, string $text): void
    {
        self::assertSame($form, LogForms::recognise([$line]));
        $read = LogForms::named($form)?->line($line);
        self::assertSame([true, $name, $text], [$read?->isSaid, $read->name ?? '', $read->text ?? '']);
    }

    public function test_columns_of_a_table_can_be_chosen(): void
    {
        $form = LogForms::named('table', [2, 0, 3]);
        $read = $form?->line('odo,7,18:02,hi');
        self::assertSame(['odo', 'hi'], [$read->name ?? '', $read->text ?? '']);
        self::assertNull($form?->line('odo,7'));
        self::assertSame(['a', 'b c', ''], TableForm::columns("a\tb c\t"));
    }

    public function test_times_without_a_day_go_on_behind_midnight_and_across_a_change_of_the_clocks(): void
    {
        // The last Sunday of October: clocks go back at 02:00 in this zone (IANA, Europe/London).
        [$read, $reader] = self::read(
            ['23:58 odo: a', '23:59 odo: b', '00:01 odo: c', '00:00 odo: d', '03:30 odo: e'],
            'plain',
            'Europe/London',
            [2026, 10, 24],
        );
        self::assertSame(
            [
                '2026-10-24T22:58:00Z',
                '2026-10-24T22:59:00Z',
                '2026-10-24T23:01:00Z',
                '2026-10-24T23:01:00Z',
                '2026-10-25T03:30:00Z',
            ],
            array_map(static fn (ChatLine $one): string => $one->at->iso(), $read),
        );
        self::assertSame(1, $reader->backwards);
    }

    public function test_what_cannot_be_read_is_counted_and_shown_and_the_rest_is_read(): void
    {
        [$read, $reader] = self::read(['18:02 odo: a', 'what is this', '', '18:03 odo: b', "\x00\xFF"], 'plain');
        self::assertCount(2, $read);
        self::assertSame(2, $reader->unread);
        self::assertSame([2, 'what is this'], $reader->shown[0]);
    }

    public function test_names_are_replaced_everywhere_if_wanted(): void
    {
        $lines = ['18:02 Odo_Real: hi', '18:03 pia: hello @odo_real and odo_real, and @gone', '18:04 odo_real: ah'];
        $reader = new LogReader(self::form('plain'), new DateTimeZone('UTC'), [2026, 11, 25], true);
        $read = iterator_to_array($reader->lines($lines), false);
        self::assertSame($read[0]->by, $read[2]->by);
        foreach ($read as $one) {
            self::assertStringNotContainsStringIgnoringCase('odo_real', "{$one->by->name} {$one->by->id} {$one->text}");
            self::assertStringNotContainsString('gone', $one->text);
        }
        self::assertStringContainsString("@{$read[0]->by->name} and {$read[0]->by->name}", $read[1]->text);
        // Who is in the cast keeps their levels.
        $known = Person::known('cast-pia', 'pia', 'Pia', Levels::of(Level::Moderator));
        $reader = new LogReader(self::form('plain'), new DateTimeZone('UTC'), [2026, 11, 25], false, [$known]);
        self::assertSame($known, iterator_to_array($reader->lines($lines), false)[1]->by);
    }

    public function test_no_text_is_an_error_of_ours_whatever_stands_in_it(): void
    {
        mt_srand(16);
        $bits = ['18:02', '<', '>', 'odo', ':', "\t", '{"time":', '"', ',', ';', '[', ']', '2026-11-25', ' ', '*',
            '---', '9e9', "\u{202E}", '99:99', '2026-02-31', '🦜', "\0", '1796064599'];
        $strings = Outside::hostileStrings();
        for ($round = 0; $round < 4_000; $round++) {
            $line = '';
            for ($part = mt_rand(1, 9); $part > 0; $part--) {
                $line .= $bits[array_rand($bits)];
            }
            $strings[] = $line;
        }
        foreach (array_keys(LogForms::labels()) as $form) {
            $reader = new LogReader(self::form($form), new DateTimeZone('Europe/London'), [2026, 11, 25], true);
            $last = PHP_INT_MIN;
            $lines = array_map(mb_scrub(...), $strings);
            foreach ($reader->lines($lines) as $one) {
                self::assertGreaterThanOrEqual($last, $last = $one->at->millis);
                self::assertTrue(mb_check_encoding($one->text, 'UTF-8'));
            }
            self::assertLessThanOrEqual(count($strings), $reader->read + $reader->unread);
        }
    }

    /** @return list<array{string, string|null}> */
    public static function times(): array
    {
        return [
            ['1796064599', '2026-11-30T18:49:59Z'],
            ['1796064599123', '2026-11-30T18:49:59Z'],
            ['2026-11-25T18:02:03Z', '2026-11-25T18:02:03Z'],
            ['2026-11-25 18:02:03+0100', '2026-11-25T17:02:03Z'],
            ['2026-11-25 18:02', '2026-11-25T18:02:00Z'],
            ['25.11.2026, 18:02:03', '2026-11-25T18:02:03Z'],
            ['Wed Nov 25 18:02:11 2026', '2026-11-25T18:02:11Z'],
            ['Wed Nov 25 2026', '2026-11-25T00:00:00Z'],
            ['12:30 am', '2000-01-02T00:30:00Z'],
            ['12:30 PM', '2000-01-02T12:30:00Z'],
            ['24:00', null],
            ['2026-02-30 10:00', null],
            ['2026-11-25 soon', null],
            ['noon', null],
            ['', null],
        ];
    }

    #[DataProvider('times')]
    public function test_times_are_understood(string $text, ?string $moment): void
    {
        $at = LogTime::of($text)?->in(new DateTimeZone('UTC'), [2000, 1, 2]);
        self::assertSame($moment, $at === null ? null : substr((new Moment($at))->iso(), 0, 19).'Z');
    }

    public function test_another_talker_is_recognised_and_a_quick_typist_is_not(): void
    {
        $guess = new TalkerGuess;
        for ($at = 0; $at < 20; $at++) {
            $line = static fn (string $key, string $by, string $text, int $millis): ChatLine => new ChatLine(
                $key,
                Person::known($by, $by, $by, Levels::of()),
                $text,
                new Moment($at * 60_000 + $millis),
            );
            $guess->take($line("c$at", 'odo', $at % 2 === 0 ? '!bell' : '?bell', 0));
            $guess->take($line("b$at", 'harbour_bell', 'Ding dong, odo.', 600));
            $guess->take($line("q$at", 'quill', $at % 3 === 0 ? 'ha' : 'nice', $at % 3 === 0 ? 900 : 9_000));
        }
        $talkers = $guess->talkers();
        self::assertSame(['harbour_bell'], array_keys($talkers));
        self::assertSame([20, 20], [$talkers['harbour_bell']['answers'], count($talkers['harbour_bell']['commands'])]);
    }

    public function test_questions_with_the_same_words_are_one_and_get_a_phrase(): void
    {
        $questions = new OpenQuestions;
        $texts = ['what wood is the mast made of?', 'is the mast made of wood?', 'the mast, what wood?', 'nice mast',
            'which wood, for making masts?', 'is she fast?', 'the wood of that mast is lovely'];
        foreach ($texts as $at => $text) {
            $questions->take(new Heard(
                new TimedLine($at * 1000, 'odo', $text),
                null,
                new Outcome,
                null,
                new ChatLine("l$at", Person::known('o', 'odo', 'Odo', Levels::of()), $text, new Moment($at * 1000)),
            ));
        }
        [$first] = $questions->groups(Pack::blank());
        self::assertSame(2, $first['count']);
        self::assertSame('wood .. mast made', $first['phrase']);
        self::assertSame(['what wood is the mast made of?', 'is the mast made of wood?'], $first['lines']);
        self::assertSame(['[caller], ', ''], [$first['reply'], $first['by']], 'nobody answered');
    }

    public function test_what_people_answered_themselves_becomes_a_reply_of_plain_text(): void
    {
        $questions = new OpenQuestions;
        $chat = [
            [0, 'odo', 'what wood is the mast made of?'], [3, 'pia', 'nice [mast]'],
            [9, 'wren', '@Odo: larch [from the north], odo, and no oddity'],
            [200, 'pia', 'the mast is made of wood?'], [201, 'odo', 'pia it is larch'], [205, 'wren', 'larch'],
            [400, 'tamsin', 'made of wood, the mast?'],
            [420, 'wren', '@Tamsin: larch [from the north], tamsin, and no oddity'],
            [900, 'pia', 'is rope dear?'], [920, 'wren', 'Dear enough.'], [1_000, 'pia', 'rope dear?'],
            [1_200, 'wren', 'Too late for that.'], [1_300, 'odo', 'is glue wet?'], [1_302, 'odo', 'odo says so'],
            [1_310, 'pia', 'glue wet?'], [1_320, 'tamsin', 'pianos are dry'],
        ];
        foreach ($chat as $at => [$second, $login, $text]) {
            $levels = $login === 'wren' ? Levels::of(Level::Streamer) : Levels::of();
            $by = Person::known($login, $login, ucfirst($login), $levels);
            $questions->take(new Heard(
                new TimedLine($second * 1000, $login, $text),
                $by,
                new Outcome,
                $at,
                new ChatLine("l$at", $by, $text, new Moment($second * 1000)),
            ));
        }
        $replies = [];
        foreach ($questions->groups(Pack::blank()) as $group) {
            $replies[$group['phrase']] = [$group['reply'], $group['by']];
        }
        self::assertSame([
            'wood .. mast made' => ['[caller]: larch [[from the north], [caller], and no oddity', 'Wren'],
            'rope dear' => ['Dear enough.', 'Wren'],
            'glue wet' => ['[caller], ', ''],
        ], $replies);
    }

    public function test_words_of_a_log_are_what_people_say_in_any_form_and_no_commands(): void
    {
        $said = ['evening all', 'the keel is crooked'];
        foreach (
            [
                "20:00 <odo> evening all\n20:00 <pia> !dry\n20:01 -!- odo has quit\n20:02 <pia> the keel is crooked",
                '{"at":"2026-11-25T20:00:00Z","name":"odo","text":"evening all"}'."\n"
                    .'{"at":"2026-11-25T20:02:00Z","name":"pia","text":"the keel is crooked"}',
                "[20:00:01] odo: evening all\n[20:02:01] pia: the keel is crooked\n[20:03:01] pia: :)",
                "20:00 <odo> evening \x0304all\x0F\n20:02 <pia> the \x02keel\x02 is crooked",
            ] as $log
        ) {
            self::assertSame($said, WordsOfLog::of(explode("\n", $log), 500), $log);
            self::assertSame([$said[1]], WordsOfLog::of(explode("\n", $log), 1), $log);
        }
        self::assertNull(WordsOfLog::of(['eggs', 'flour'], 500));
        self::assertNull(WordsOfLog::of([], 500));
    }

    public function test_whatever_people_answer_is_no_slot(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(20261201));
        $signs = ['[', ']', '[[', 'roll 1 to 6', 'odo', '@Odo', ' ', '|', '\\', '$1', 'ö', "\u{202E}", '"', '…'];
        $odo = Person::known('odo', 'odo', 'Odo', Levels::of());
        $wren = Person::known('wren', 'wren', 'Wren', Levels::of(Level::Streamer));
        for ($round = 0; $round < 500; $round++) {
            $text = '';
            for ($left = $random->getInt(1, 12); $left > 0; $left--) {
                $text .= $signs[$random->getInt(0, count($signs) - 1)];
            }
            $replies = new DraftedReplies;
            $replies->asked('mast', new ChatLine('a', $odo, 'the mast?', new Moment(0)));
            $replies->answered(new ChatLine('b', $wren, $text, new Moment(1_000)));
            $slots = array_filter(Segments::of($replies->of('mast')['reply'] ?? ''), static fn ($one): bool => $one[1]);
            self::assertSame([], array_diff(array_column($slots, 0), ['[caller]']), $text);
        }
    }

    /**
     * @param  iterable<string>  $lines
     * @param  array{int, int, int}  $day
     * @return array{list<ChatLine>, LogReader}
     */
    private static function read(
        iterable $lines,
        string $form,
        string $zone = 'UTC',
        array $day = [2026, 11, 25],
    ): array {
        $reader = new LogReader(self::form($form), new DateTimeZone($zone), $day);

        return [iterator_to_array($reader->lines($lines), false), $reader];
    }

    private static function form(string $key): LogForm
    {
        return LogForms::named($key) ?? throw new \LogicException($key);
    }
}
