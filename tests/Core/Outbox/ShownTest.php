<?php

declare(strict_types=1);

namespace Tests\Core\Outbox;

use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\Level;
use SilverParrot\Outbox\MessageFragment;
use SilverParrot\Pack\Emote;
use SilverParrot\Pack\LevelRule;

final class ShownTest extends TestCase
{
    public function test_links_and_emotes_are_told_from_words_and_nothing_is_lost(): void
    {
        self::assertSame(
            [
                '<coveWave>',
                ' Ahoy, see ',
                '{https://cove.example/map}',
                ', then ',
                '<coveWave>',
                ' coveWave! CoveWave covewave',
            ],
            $this->pieces('coveWave Ahoy, see https://cove.example/map, then coveWave coveWave! CoveWave covewave'),
        );
        self::assertSame(['{https://cove.example/coveWave}', ' x'], $this->pieces('https://cove.example/coveWave x'));
        self::assertSame([], $this->pieces(''));
        // What the parrot may not use, it says as letters.
        self::assertSame(['coveLantern ', '<coveHammer>'], $this->pieces('coveLantern coveHammer'));
        mt_srand(7);
        for ($i = 0; $i < 300; $i++) {
            $text = implode(
                '',
                array_map(
                    static fn (): string => ['coveWave', ' ', 'https://a.example', ')', "\u{200B}", '🦜', 'x', '.'][
                        mt_rand(0, 7)
                    ],
                    range(0, 12),
                ),
            );
            self::assertSame(
                $text,
                implode(
                    '',
                    array_map(
                        static fn (MessageFragment $piece): string => $piece->text,
                        MessageFragment::of($text, $this->emotes()),
                    ),
                ),
            );
        }
    }

    public function test_a_picture_is_known_by_its_first_bytes(): void
    {
        self::assertTrue(Emote::isPicture('data:image/png;base64,'.base64_encode("\x89PNG\r\n\x1A\nrest")));
        self::assertTrue(Emote::isPicture('data:image/gif;base64,'.base64_encode('GIF89a…')));
        foreach (
            [
                'data:image/png;base64,'.base64_encode('GIF89a'),
                'data:image/svg+xml;base64,'.base64_encode('<svg onload="x"/>'),
                'https://cove.example/x.png',
                'data:image/png;base64,!!',
                'data:text/html;base64,'.base64_encode("\x89PNG\r\n\x1A\n"),
            ] as $no
        ) {
            self::assertFalse(Emote::isPicture($no), $no);
        }
        self::assertSame(
            [true, false, false, false],
            array_map(Emote::isWord(...), ['coveWave', 'x', 'cove wave', '<b>']),
        );
    }

    /** @return list<string> */
    private function pieces(string $text): array
    {
        return array_map(
            static fn (MessageFragment $piece): string => match (true) {
                $piece->isLink => "{{$piece->text}}",
                $piece->emote !== null => "<{$piece->text}>",
                default => $piece->text,
            },
            MessageFragment::of($text, $this->emotes()),
        );
    }

    /** @return list<Emote> */
    private function emotes(): array
    {
        return [
            new Emote('coveWave'),
            new Emote('coveHammer', levels: new LevelRule(atLeast: Level::Vip)),
            new Emote('coveLantern', levels: new LevelRule([Level::Subscriber])),
        ];
    }
}
