<?php

declare(strict_types=1);

namespace Harbour;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Sixty people with habits, from a seed: they greet, ask, use commands, mistype them, and paste links. */
final class Crowd
{
    private const FIRST = ['Tamsin', 'Odo', 'Pia', 'Bram', 'Jonah', 'Yusuf', 'Ilse', 'Quill', 'Maren', 'Tove', 'Rafe', 'Signe', 'Ivo', 'Nell', 'Cass', 'Bodil', 'Hale', 'Ruta', 'Finn', 'Greer'];

    private const LAST = ['', '_of_the_Mist', 'Rope'];

    private const LINES = ['good evening, shore crew', 'that plank looks straight to me', 'is the kettle on?', 'what wood is that?', 'the gulls are loud tonight', 'mind the splinters', 'ha', 'back from the slipway', 'how long until she floats?', 'nice joint', 'seen this? https://charts.lantern-cove.example/old', 'rain on the roof here too'];

    private const COMMANDS = ['!tide', '!knot', '!ahoy', '!ahoy @{name}', '!dry', '!luck', '!now', '!crew', '!biscuit @{name}', '!chart slipway', '!tidee', '!nkot', '!TIDE please'];

    /** @var list<Viewer> */
    public readonly array $viewers;

    private readonly Randomizer $random;

    public function __construct(int $seed, int $people = 60)
    {
        $this->random = new Randomizer(new Xoshiro256StarStar($seed));
        $viewers = [];
        for ($i = 0; $i < $people; $i++) {
            $name = self::FIRST[$i % count(self::FIRST)].(self::LAST[intdiv($i, count(self::FIRST)) % 3] ?: '').($i >= 60 ? (string) $i : '');
            $levels = match (true) {
                $i % 20 === 3 => ['follower', 'moderator'],
                $i % 9 === 2 => ['follower', 'vip'],
                $i % 4 === 1 => ['follower', 'subscriber'],
                $i % 2 === 0 => ['follower'],
                default => [],
            };
            $viewers[] = new Viewer(strtolower($name), $name, $levels);
        }
        $this->viewers = $viewers;
    }

    /** @return array{Viewer, string} who says what next */
    public function next(): array
    {
        $viewer = $this->one();
        $texts = $this->random->getInt(1, 100) <= 35 ? self::COMMANDS : self::LINES;

        return [$viewer, str_replace('{name}', $this->one()->name, $texts[$this->random->getInt(0, count($texts) - 1)])];
    }

    /** Seconds until the next line at a pace in lines a minute: now and then a pause, now and then two at once. */
    public function pause(float $pace): float
    {
        return -log($this->random->getInt(1, 1_000_000) / 1_000_000) * 60 / $pace;
    }

    private function one(): Viewer
    {
        return $this->viewers[$this->random->getInt(0, count($this->viewers) - 1)];
    }
}
