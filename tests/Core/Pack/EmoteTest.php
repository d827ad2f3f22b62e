<?php

declare(strict_types=1);

namespace Tests\Core\Pack;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use SilverParrot\Pack\Emote;

final class EmoteTest extends TestCase
{
    /** Signatures: PNG (ISO/IEC 15948), 5.2; GIF89a, 17; WebP, RFC 9649, 2.4. Held against the bytes themselves. */
    public function test_a_picture_is_told_by_its_first_bytes(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(9649));
        $pictures = 0;
        for ($i = 0; $i < 6_000; $i++) {
            $kind = ['png', 'gif', 'webp'][$i % 3];
            $bytes = match ($kind) {
                'png' => "\x89PNG\r\n\x1A\n",
                'gif' => $i % 2 === 0 ? 'GIF87a' : 'GIF89a',
                'webp' => 'RIFF'.$random->getBytes(4).'WEBP',
            };
            if ($i % 4 === 0) {
                $bytes[$random->getInt(0, strlen($bytes) - 1)] = $random->getBytes(1);
            }
            $bytes .= $random->getBytes($random->getInt(1, 5));
            $is = match ($kind) {
                'png' => str_starts_with($bytes, "\x89PNG\r\n\x1A\n"),
                'gif' => str_starts_with($bytes, 'GIF87a') || str_starts_with($bytes, 'GIF89a'),
                'webp' => str_starts_with($bytes, 'RIFF') && substr($bytes, 8, 4) === 'WEBP',
            };
            $pictures += (int) $is;
            $address = "data:image/$kind;base64,".base64_encode($bytes);
            self::assertSame($is, Emote::isPicture($address), $address);
            self::assertFalse(Emote::isPicture('data:image/svg+xml;base64,'.base64_encode($bytes)));
        }
        self::assertGreaterThan(4_000, $pictures);
        self::assertFalse(Emote::isPicture("data:image/gif;base64,R0lGODlh\n"));
    }

    public function test_the_schema_tells_pictures_as_the_code_does(): void
    {
        $schema = (string) file_get_contents(dirname(__DIR__, 3).'/docs/formats/pack.schema.json');
        $pattern = '^(?:'.substr(Emote::PICTURE, 1, -1).')?$';
        self::assertStringContainsString('"pattern": "'.$pattern.'"', $schema);
    }
}
