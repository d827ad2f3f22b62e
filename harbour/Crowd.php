<?php

declare(strict_types=1);

namespace Harbour;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Sixty people with habits, from a seed: they arrive and leave, greet, ask, use commands, mistype them, and paste
 * links.
 */
final class Crowd
{
    private const FIRST = [
        'Tamsin',
        'Odo',
        'Pia',
        'Bram',
        'Jonah',
        'Yusuf',
        'Ilse',
        'Quill',
        'Maren',
        'Tove',
        'Rafe',
        'Signe',
        'Ivo',
        'Nell',
        'Cass',
        'Bodil',
        'Hale',
        'Ruta',
        'Finn',
        'Greer',
    ];

    private const LAST = ['', '_of_the_Mist', 'Rope'];

    private const LINES = [
        'good evening, shore crew',
        'that plank looks straight to me',
        'is the kettle on?',
        'what wood is that?',
        'the gulls are loud tonight',
        'mind the splinters',
        'ha',
        'back from the slipway',
        'how long until she floats?',
        'nice joint',
        'seen this? https://charts.lantern-cove.example/old',
        'rain on the roof here too',
    ];

    private const COMMANDS = [
        '!tide',
        '!knot',
        '!ahoy',
        '!ahoy @{name}',
        '!dry',
        '!luck',
        '!now',
        '!crew',
        '!biscuit @{name}',
        '!chart slipway',
        '!TIDE please',
    ];

    private const CATEGORIES = ['Planking', 'Caulking', 'Rigging', 'Painting'];

    /** Out of a hundred turns, those in which somebody comes or goes instead of saying something. */
    private const CROSSINGS = 8;

    /** @var list<Viewer> */
    public readonly array $viewers;

    private readonly Randomizer $random;

    /** @var array<string, Viewer> by login */
    private array $byLogin = [];

    /** @var array<string, true> logins of who is here */
    private array $here = [];

    public function __construct(int $seed, int $people = 60)
    {
        $this->random = new Randomizer(new Xoshiro256StarStar($seed));
        $viewers = [];
        for ($i = 0; $i < $people; $i++) {
            $name =
                self::FIRST[$i % count(self::FIRST)]
                .(self::LAST[intdiv($i, count(self::FIRST)) % 3] ?: '')
                .($i >= 60 ? (string) $i : '');
            $levels = match (true) {
                $i % 20 === 3 => ['follower', 'moderator'],
                $i % 9 === 2 => ['follower', 'vip'],
                $i % 4 === 1 => ['follower', 'subscriber'],
                $i % 2 === 0 => ['follower'],
                default => [],
            };
            $day = static fn (int $days): string => gmdate('Y-m-d\T12:00:00\Z', 1_735_689_600 + $days * 86_400);
            $viewers[] = $viewer = new Viewer(
                strtolower($name),
                $name,
                $levels,
                $levels === [] ? null : $day($this->random->getInt(0, 600)),
                $day(-$this->random->getInt(100, 3000)),
                $i % 6 === 0 ? self::CATEGORIES[$this->random->getInt(0, 3)] : null,
            );
            $this->byLogin[$viewer->login] = $viewer;
            if ($this->random->getInt(1, 3) > 1) {
                $this->here[$viewer->login] = true;
            }
        }
        $this->viewers = $viewers;
    }

    public function viewer(string $login): ?Viewer
    {
        return $this->byLogin[strtolower($login)] ?? null;
    }

    /** @return list<Viewer> who is here, in the order of arriving */
    public function present(): array
    {
        return array_map(fn (int|string $login): Viewer => $this->byLogin[$login], array_keys($this->here));
    }

    /** Now and then somebody comes or goes; a quarter stays at least, and everybody may have come. */
    public function crossing(): ?Viewer
    {
        if ($this->random->getInt(1, 100) > self::CROSSINGS) {
            return null;
        }
        $viewer = $this->viewers[$this->random->getInt(0, count($this->viewers) - 1)];
        if (! isset($this->here[$viewer->login])) {
            $this->here[$viewer->login] = true;
        } elseif (count($this->here) * 4 > count($this->viewers)) {
            unset($this->here[$viewer->login]);
        } else {
            return null;
        }

        return $viewer;
    }

    public function isHere(Viewer $viewer): bool
    {
        return isset($this->here[$viewer->login]);
    }

    /** @return array{Viewer, string} who says what next */
    public function next(): array
    {
        $viewer = $this->one();
        $texts = $this->random->getInt(1, 100) <= 35 ? self::COMMANDS : self::LINES;

        $text = $texts[$this->random->getInt(0, count($texts) - 1)];
        if ($texts === self::COMMANDS && $this->random->getInt(1, 6) === 1) {
            $text = $this->mistyped($text);
        }

        return [$viewer, str_replace('{name}', $this->one()->name, $text)];
    }

    /** Two letters of the trigger in the wrong order, or one twice. */
    private function mistyped(string $text): string
    {
        $at = $this->random->getInt(1, max(1, strcspn($text, ' ') - 2));

        return substr($text, 0, $at)
            .($this->random->getInt(0, 1) === 0
                ? ($text[$at + 1] ?? '').$text[$at].substr($text, $at + 2)
                : $text[$at].substr($text, $at));
    }

    /** Seconds until the next line at a pace in lines a minute: now and then a pause, now and then two at once. */
    public function pause(float $pace): float
    {
        return -log($this->random->getInt(1, 1_000_000) / 1_000_000) * 60 / $pace;
    }

    private function one(): Viewer
    {
        $logins = array_keys($this->here);

        return $logins === []
            ? $this->viewers[0]
            : $this->byLogin[$logins[$this->random->getInt(0, count($logins) - 1)]];
    }
}
