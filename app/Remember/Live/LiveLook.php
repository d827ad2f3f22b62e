<?php

declare(strict_types=1);

namespace App\Remember\Live;

/** How a live text looks in a stream picture: each part from the address, or as it was set. */
final readonly class LiveLook
{
    public const FONTS = ['serif', 'sans', 'mono'];

    public const ALIGNED = ['left', 'center', 'right'];

    private const COLOUR = '/^#[0-9a-f]{6}$/Di';

    private function __construct(
        public string $font,
        public int $size,
        public string $colour,
        public string $outline,
        public string $align,
    ) {
    }

    /** @param  array<array-key, mixed>  $parts  what is none is as by default */
    public static function of(array $parts): self
    {
        $one = static fn (string $key, string $pattern, string $default): string => is_string($parts[$key] ?? null)
            && preg_match($pattern, $parts[$key]) === 1
                ? strtolower($parts[$key])
                : $default;
        $size = is_numeric($parts['size'] ?? null) ? (int) $parts['size'] : 48;

        return new self(
            $one('font', '/^(?:serif|sans|mono)$/D', 'serif'),
            max(8, min(400, $size)),
            $one('colour', self::COLOUR, '#ffffff'),
            $one('outline', '/^(?:none|#[0-9a-f]{6})$/Di', '#1c2b33'),
            $one('align', '/^(?:left|center|right)$/D', 'left'),
        );
    }

    /** @return array<string, int|string> */
    public function parts(): array
    {
        return [
            'font' => $this->font,
            'size' => $this->size,
            'colour' => $this->colour,
            'outline' => $this->outline,
            'align' => $this->align,
        ];
    }
}
