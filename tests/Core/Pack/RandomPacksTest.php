<?php

declare(strict_types=1);

namespace Tests\Core\Pack;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use SilverParrot\Chat\Channel;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Place;
use SilverParrot\Chat\Voice;
use SilverParrot\Format\PackFormat;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\Enabled;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Hearing\Gates\GateSettings;
use SilverParrot\Hearing\Gates\StreamState;
use SilverParrot\Hearing\Gates\WhileStream;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\CommandMetadata;
use SilverParrot\Pack\CommandResponse;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\CounterScope;
use SilverParrot\Pack\Delivery;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Pack\Expectation;
use SilverParrot\Pack\Fact;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\FieldType;
use SilverParrot\Pack\Flood;
use SilverParrot\Pack\Gates;
use SilverParrot\Pack\LevelRule;
use SilverParrot\Pack\Occasion;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\TextList;
use SilverParrot\Pack\Triggers;
use SilverParrot\Pack\WeightedText;
use SilverParrot\Value\Moment;

/** Whatever a pack holds, writing and reading it brings the same pack back. */
final class RandomPacksTest extends TestCase
{
    private Randomizer $random;

    public function test_no_pack_loses_anything_on_its_way(): void
    {
        for ($seed = 1; $seed <= 150; $seed++) {
            $this->random = new Randomizer(new Xoshiro256StarStar($seed));
            $pack = $this->pack();
            [$again, $findings] = PackFormat::read(PackFormat::write($pack));
            self::assertSame([], $findings, (string) $seed);
            self::assertEquals($pack, $again, (string) $seed);
        }
    }

    private function pack(): Pack
    {
        return new Pack(
            Channel::of(
                'cove',
                $this->text(),
                $this->of(['en', 'pl', 'pt-BR']),
                $this->of(['UTC', 'Europe/London', 'Pacific/Auckland']),
            ),
            'parrot',
            $this->several(fn (): string => $this->text()),
            $this->several($this->command(...), '!'),
            $this->named(fn (string $name): Fact => new Fact($name, $this->text())),
            $this->named(
                fn (string $name): TextList => new TextList(
                    $name,
                    $this->several($this->weighted(...)),
                    $this->of(DrawOrder::cases()),
                ),
            ),
            $this->named(
                fn (string $name): Counter => new Counter(
                    $name,
                    $this->of(CounterScope::cases()),
                    $this->random->getInt(-3, 3),
                    $this->of([null, 0, -5]),
                    $this->of([null, 10]),
                ),
            ),
            $this->named(fn (string $name): Occasion => new Occasion($name)),
            $this->named(
                fn (string $name): Field => new Field($name, $this->of(FieldType::cases()), $this->of([null, '1', ''])),
            ),
            $this->several(
                fn (): CastMember => new CastMember(
                    'x'.$this->random->getInt(0, 99),
                    $this->text(),
                    $this->levels(),
                    $this->random->getInt(0, 3),
                    $this->text(),
                    $this->of([[], ['boat' => $this->text()]]),
                ),
            ),
            $this->of([new Flood, new Flood(0, 0), new Flood(3, 40)]),
        );
    }

    private function command(string $trigger): Command
    {
        return new Command(
            new Triggers($trigger, $this->of([[], ["$trigger-a", "$trigger-b"]])),
            $this->several(
                fn (): CommandResponse => Say::response(
                    $this->text(),
                    $this->random->getInt(1, 1000),
                    $this->of(['', 'r'.$this->random->getInt(0, PHP_INT_MAX)]),
                ),
            ),
            Gates::of(
                new Enabled($this->of([true, false])),
                new ForLevels(
                    $this->of([
                        new LevelRule,
                        new LevelRule($this->levels()),
                        new LevelRule([], $this->of(Level::cases())),
                    ]),
                ),
                new WhileStream($this->of([null, ...StreamState::cases()])),
                new Cooldown($this->random->getInt(0, 86_400), $this->random->getInt(0, 86_400)),
            ),
            array_filter(
                array_map(fn (): string => $this->text(), GateSettings::refusals()),
                static fn (string $text): bool => $text !== '',
            ),
            $this->text(),
            new Delivery($this->of(Voice::cases()), $this->of(Place::cases())),
            new CommandMetadata(
                mb_substr($this->text(), 0, 60),
                $this->text(),
                $this->of([true, false]),
                $this->several(
                    fn (): Expectation => new Expectation(
                        $this->text(),
                        'odo',
                        $this->several(fn (): string => $this->text()),
                        new Moment($this->random->getInt(0, 2_000_000_000) * 1000),
                        's',
                        'e',
                        $this->of([
                            [],
                            [
                                "counter\x1Fa\x1F" => 3,
                                "list\x1Fb\x1F" => ['of' => 'x', 'last' => 1, 'left' => [2, 3]],
                                "field\x1Fc\x1Fviewer:1" => null,
                            ],
                        ]),
                        $this->of([[], ['live' => true, 'viewers' => 4, 'title' => $this->text()]]),
                    ),
                ),
            ),
            $this->of(['', 'c'.$this->random->getInt(0, PHP_INT_MAX)]),
        );
    }

    private function weighted(): WeightedText
    {
        return new WeightedText($this->text(), $this->random->getInt(1, 1000));
    }

    private function text(): string
    {
        return $this->of([
            '',
            'plain',
            '[caller] & "quotes" \\ /',
            "line\nbreak\t",
            '😀 é 潮',
            '<b>',
            ' ends ',
            '0',
            'null',
            '{"a":1}',
        ]);
    }

    /** @return list<Level> */
    private function levels(): array
    {
        return $this->of([[], [Level::Vip], [Level::Follower, Level::Moderator]]);
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $options
     * @return T
     */
    private function of(array $options): mixed
    {
        return $options[$this->random->getInt(0, count($options) - 1)];
    }

    /**
     * @template T
     *
     * @param  callable(string): T  $make
     * @return list<T>
     */
    private function several(callable $make, string $prefix = ''): array
    {
        $all = [];
        for ($i = $this->random->getInt(0, 3); $i > 0; $i--) {
            $all[] = $make("{$prefix}n$i");
        }

        return $all;
    }

    /**
     * @template T of object{name: string}
     *
     * @param  callable(string): T  $make
     * @return array<string, T>
     */
    private function named(callable $make): array
    {
        $named = [];
        foreach ($this->several($make) as $one) {
            $named[$one->name] = $one;
        }

        return $named;
    }
}
