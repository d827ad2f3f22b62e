<?php

declare(strict_types=1);

namespace Tests\Air;

use SilverParrot\Source\Unseen;
use Tests\Outside;

/**
 * A viewer means no good, and the parrot repeats what they say. It never speaks to the chat or to another talker for
 * them.
 */
final class HostileViewerTest extends AirTestCase
{
    public static function setUpBeforeClass(): void
    {
        parent::setUpBeforeClass();
        self::publish('[add 1 to counter.planks]', '[words]');
    }

    public function test_whatever_is_typed_the_parrot_neither_obeys_nor_breaks(): void
    {
        $texts = $this->texts();
        self::assertGreaterThanOrEqual(63, count($texts));
        $talker = $this->air->instance()['servers']['air']['pid'];
        $watch = $this->viewer('viewer_watch');
        $this->awaitRoomToSpeak(20);
        for (
            $tries = 0;
            $tries < 40
            && ! $watch->await(
                static fn (ChatClient $self): bool => in_array('since ready', $self->saidBy('silver_parrot'), true),
                0.5,
            );
            $tries++
        ) {
            // The edition that answers it is taken up within a second.
            $this->write('odo', '!since ready');
        }
        foreach ($texts as $text) {
            $this->write('odo', "!since $text");
        }
        // What came after all of them is answered after all of them.
        $before = $this->planks();
        $this->write('odo', '!count');
        self::assertTrue(
            $watch->await(
                fn (ChatClient $self): bool => in_array((string) ($before + 1), $self->saidBy('silver_parrot'), true),
                40,
            ),
        );
        $said = array_filter($watch->saidBy('silver_parrot'), static fn (string $one): bool => ! ctype_digit($one));
        self::assertGreaterThan(40, count($said));
        foreach ($said as $one) {
            self::assertTrue(mb_check_encoding($one, 'UTF-8'));
            $characters = mb_str_split($one);
            while ($characters !== [] && Unseen::mayStandBefore($characters[0])) {
                array_shift($characters);
            }
            self::assertNotContains($characters[0] ?? '', ['/', '.', '!'], $one);
            self::assertDoesNotMatchRegularExpression('/[\x00-\x1F\x7F\x{202A}-\x{202E}\x{2066}-\x{2069}]/u', $one);
            self::assertLessThanOrEqual(500, mb_strlen($one));
        }
        self::assertSame($talker, $this->air->instance()['servers']['air']['pid']);
        self::assertSame(
            '0',
            $this->value("SELECT COALESCE(JSON_VALUE(air_troubles, '$.failed'), 0) FROM channels WHERE id = 1"),
        );
        self::assertSame('silver_parrot', $this->value('SELECT parrot FROM channels WHERE id = 1'));
    }

    /** @return list<string> */
    private function texts(): array
    {
        $own = [
            '/ban odo',
            '.timeout odo',
            '!ban odo',
            '!!ban',
            "\u{200B}/ban",
            "\u{E0000}/ban",
            "\u{E0FFF}!ban",
            "\u{2065}/x",
            "\u{FFF0}/x",
            "\u{20DD}/x",
            "\u{E000}/x",
            "\u{115F}.x",
            "\u{3164}!x",
            "\u{202E}/x",
            "\u{2066}x\u{2069}",
            '//..!!x',
            ' / ban',
            '/',
            '!',
            '.',
            "a\rQUIT",
            "a\nQUIT :x",
            "\x01ACTION x\x01",
            '[caller]',
            '[add 99 to counter.planks]',
            '[[caller]',
            '[list.knots]',
            '{{ caller }}',
            '${caller}',
            '%caller%',
            "'; DROP TABLE users; --",
            '" OR ""="',
            '\\',
            '%n%s%x',
            "\0x",
            str_repeat('w', 480),
            str_repeat('🦜', 240),
            str_repeat("e\u{301}", 200),
            '@everyone',
            '@silver_parrot !count',
        ];
        $published = array_values(
            array_filter(
                Outside::hostileStrings(),
                static fn (string $one): bool => $one !== '' && strlen($one) < 1_200,
            ),
        );

        // All that is answered stays under what a chat lets a moderator say in half a minute.
        return [...$own, ...array_slice($published, 0, 25)];
    }

    /** As one of the harbour's people, who are not held to a viewer's pace. */
    private function write(string $as, string $text): void
    {
        $told = $this->toHarbour('/channels/lantern_cove/lines', ['as' => $as, 'text' => mb_substr($text, 0, 500)]);
        self::assertNotSame('', $told);
    }
}
