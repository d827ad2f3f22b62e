<?php

declare(strict_types=1);

namespace Tests\Core\Outbox;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Outbox\FittedText;
use SilverParrot\Outbox\Fitter;
use SilverParrot\Outbox\MessageLimits;
use SilverParrot\Response\Origin;
use SilverParrot\Response\RenderedResponse;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Message;
use SilverParrot\Source\Truncator;
use SilverParrot\Source\Unseen;
use Tests\Outside;

final class FitterTest extends TestCase
{
    /**
     * @return iterable<string, array{list<array{string, bool}>, string}> pieces (text, from a slot or not) and what is
     *     said
     */
    public static function steering(): iterable
    {
        yield 'the default-ignorable, the unassigned, the private and marks before it' => [
            [["\u{E0000}\u{E0FFF}\u{2065}\u{FFF0}\u{20DD}\u{E000}\u{FE0F}\u{34F}/x", true]],
            'x',
        ];
        yield 'another talker’s mark, typed' => [[['!ban odo', true]], 'ban odo'];
        yield 'marks of both kinds' => [[['!/.x', true]], 'x'];
        yield 'another talker’s mark behind text' => [[['odo says ', false], ['!ban', true]], 'odo says !ban'];
        yield 'half of an instruction' => [[['/', false], ['ban odo', true]], ''];
        yield 'the end of an instruction’s word' => [[['/b', false], ['an', true], [' odo', false]], ''];
        yield 'an instruction with a slot behind its word' => [[['/me ', false], ['waves', true]], '/me waves'];
        yield 'what turns the direction' => [[["\u{202E}x\u{2066}y", true], [' z', false]], 'xy z'];
        yield 'the author may turn it' => [
            [["\u{2067}", false], ['x', true], ["\u{2069}", false]],
            "\u{2067}x\u{2069}",
        ];
        yield 'from a slot' => [[['/ban odo', true]], 'ban odo'];
        yield 'several marks' => [[['/./x', true]], 'x'];
        yield 'unseen before it' => [[["\u{200B}\u{FEFF} /x", true]], 'x'];
        yield 'unseen by the author, mark from a slot' => [[["\u{200B} ", false], ['/x', true]], "\u{200B} x"];
        yield 'spread over slots' => [[['/', true], ['.', true], ['w odo hi', true]], 'w odo hi'];
        yield 'an empty slot before it' => [[['', true], ['/x', true]], 'x'];
        yield 'the author may' => [[['/me waves to ', false], ['odo', true]], '/me waves to odo'];
        yield 'behind the author’s text it is text' => [[['see ', false], ['/x', true]], 'see /x'];
        yield 'a line break before it' => [[["\n\r/x", true]], 'x'];
        yield 'nothing is left' => [[['//', true]], ''];
        yield 'a space is left before text' => [[['/', true], [' x', true]], 'x'];
        yield 'an invisible filler letter' => [[["\u{3164}/x", true]], 'x'];
        yield 'a combining mark with nothing under it' => [[["\u{0301}/x", true]], 'x'];
        yield 'dots at the beginning of words' => [[['...so then', true]], 'so then'];
    }

    /** @param  list<array{string, bool}>  $pieces */
    #[DataProvider('steering')]
    public function test_nobody_steers_the_parrot(array $pieces, string $said): void
    {
        self::assertSame($said, self::fit($pieces, ChatProfile::stream())->text());
    }

    /**
     * DerivedCoreProperties.txt of Unicode 15 (Debian package unicode-data): all that is Default_Ignorable_Code_Point.
     */
    public function test_nothing_that_unicode_calls_ignorable_hides_an_instruction(): void
    {
        $looked = 0;
        foreach (Outside::lines('unicode/DerivedCoreProperties.txt') as $line) {
            if (
                preg_match('/^([0-9A-F]+)(?:\.\.([0-9A-F]+))?\s*; Default_Ignorable_Code_Point/', $line, $range) !== 1
            ) {
                continue;
            }
            $last = (int) hexdec($range[2] ?? '' ?: $range[1]);
            for ($code = (int) hexdec($range[1]); $code <= $last; $code++) {
                $looked++;
                self::assertTrue(Unseen::mayStandBefore(mb_chr($code)), dechex($code));
                self::assertTrue(Fold::isBlank(mb_chr($code)), dechex($code));
            }
        }
        self::assertSame(4174, $looked);
        foreach (["\u{0378}", "\u{E000}", "\u{F8FF}", "\u{10FFFD}", "\u{20DD}", "\u{0301}", "\u{093F}"] as $character) {
            self::assertTrue(Unseen::mayStandBefore($character));
        }
        foreach (['a', 'é', '潮', '🌊', '/', '!', '-', '1'] as $character) {
            self::assertFalse(Unseen::mayStandBefore($character));
        }
    }

    public function test_what_the_pack_says_itself_may_begin_with_another_talkers_mark(): void
    {
        $said = new RenderedResponse(['!tide', ' and ', '!knot'], [Origin::Pack, Origin::Author]);
        self::assertSame(
            '!tide and !knot',
            Fitter::fit($said, new MessageLimits(ChatProfile::stream(), 'lantern_cove', 'silver_parrot'))->text(),
        );
    }

    public function test_a_cut_leaves_whole_letters(): void
    {
        // The second byte of "à" is the one of a no-break space.
        for ($most = 1; $most < 60; $most++) {
            $cut = Truncator::toFit(str_repeat('à ', 40), null, $most);
            self::assertTrue(mb_check_encoding($cut, 'UTF-8'));
            self::assertDoesNotMatchRegularExpression('/[\s\p{Z}]…$/u', $cut);
        }
    }

    public function test_hostile_strings_never_begin_with_an_instruction(): void
    {
        foreach (Outside::hostileStrings() as $string) {
            foreach (['/', '.', "\u{200B}/", ' ./', "\u{0301}/", "\u{115F}."] as $before) {
                $said = self::fit([[$before.$string, true]], ChatProfile::stream())->text();
                $first =
                    preg_replace('/^[\p{Z}\p{C}\p{Mn}\x{115F}\x{1160}\x{3164}\x{FFA0}\x{2800}]+/u', '', $said) ?? '';
                self::assertNotContains(mb_substr($first, 0, 1), ['/', '.'], $before.$string);
                self::assertDoesNotMatchRegularExpression('/[\x00-\x1F\x7F]/', $said);
                self::assertLessThanOrEqual(500, mb_strlen($said));
            }
        }
    }

    public function test_line_breaks_and_control_characters_become_spaces_and_runs_collapse_across_pieces(): void
    {
        self::assertSame(
            'a b c d',
            self::fit([["a\r\n", false], ["  b\u{2028}\x07c ", true], [' d ', false]], ChatProfile::stream())->text(),
        );
    }

    public function test_a_saying_fits_characters_bytes_or_both(): void
    {
        $text = str_repeat('Ahoy 😀 ', 200);
        $characters = self::fit([[$text, false]], ChatProfile::stream());
        self::assertLessThanOrEqual(500, mb_strlen($characters->text()));
        self::assertGreaterThan(490, mb_strlen($characters->text()));
        $limit = new Message('fitted.characters', ['number' => 500]);
        self::assertEquals([new Message('fitted.cut', ['limit' => $limit])], $characters->notes);

        $profile = ChatProfile::irc();
        $room = (int) $profile->bytesForText('lantern_cove', 'silver_parrot');
        $bytes = self::fit([[$text, false]], $profile)->text();
        self::assertLessThanOrEqual($room, strlen($bytes));
        self::assertGreaterThan($room - 12, strlen($bytes));
        // RFC 2812, 2.3: a line has at most 512 characters (bytes), CR LF included; 63 bytes are kept for the host.
        self::assertSame(
            512,
            strlen(':silver_parrot!silver_parrot@'.str_repeat('h', 63)." PRIVMSG #lantern_cove :\r\n") + $room,
        );

        $both = ChatProfile::stream()->withLongest(30, 512);
        self::assertLessThanOrEqual(30, mb_strlen(self::fit([[$text, false]], $both)->text()));
    }

    public function test_neither_address_nor_name_nor_short_word_is_cut_in_two(): void
    {
        $address = 'https://charts.lantern-cove.example/the/long/way/round/the/rock';
        self::assertSame('See…', Truncator::toFit("See $address", 40, null));
        self::assertSame('Ahoy…', Truncator::toFit('Ahoy @Maximilian_of_the_Mist!', 15, null));
        self::assertSame('Thank…', Truncator::toFit('Thank everybody', 12, null));
        self::assertSame(
            '',
            Truncator::toFit($address, 20, null),
            'an address alone that does not fit is not said at all',
        );
        self::assertSame(
            '潮潮潮潮潮潮潮潮潮…',
            Truncator::toFit(str_repeat('潮', 80), 10, null),
            'a script without spaces is cut between characters',
        );
        self::assertSame('whole', Truncator::toFit('whole', 5, null));
    }

    /**
     * Unicode's GraphemeBreakTest.txt 15.0 (Debian package unicode-data): 602 cases; a cut falls only where ÷ stands.
     */
    public function test_no_grapheme_is_ever_cut_by_unicodes_own_cases(): void
    {
        $cases = 0;
        foreach (Outside::lines('unicode/auxiliary/GraphemeBreakTest.txt') as $line) {
            $line = trim(explode('#', $line)[0]);
            if ($line === '') {
                continue;
            }
            $clusters = [];
            foreach (explode('÷', trim($line, '÷ ')) as $cluster) {
                $clusters[] = implode(
                    '',
                    array_map(
                        static fn (string $hex): string => mb_chr((int) hexdec(trim($hex))),
                        explode('×', $cluster),
                    ),
                );
            }
            $text = implode('', $clusters);
            $cases++;
            if (! mb_check_encoding($text, 'UTF-8')) {
                continue;
            }
            for ($most = 1; $most < count($clusters); $most++) {
                self::assertSame(
                    rtrim(implode('', array_slice($clusters, 0, $most - 1))).'…',
                    Truncator::toGraphemes($text, $most),
                    $line,
                );
            }
            self::assertSame($text, Truncator::toGraphemes($text, count($clusters)));
        }
        self::assertSame(602, $cases);
    }

    /** @param  list<array{string, bool}>  $pieces */
    private static function fit(array $pieces, ChatProfile $profile): FittedText
    {
        return Fitter::fit(self::spoken($pieces), new MessageLimits($profile, 'lantern_cove', 'silver_parrot'));
    }

    /** @param  list<array{string, bool}>  $pieces  text, and whether a slot filled it in */
    private static function spoken(array $pieces): RenderedResponse
    {
        return new RenderedResponse(
            array_column($pieces, 0),
            array_map(
                static fn (bool $isSlot): Origin => $isSlot ? Origin::People : Origin::Author,
                array_column($pieces, 1),
            ),
        );
    }
}
