<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Suggest;

use SilverParrot\Hearing\Gates\ByChance;
use SilverParrot\Hearing\Gates\InCategory;
use SilverParrot\Lookup\Parameters\Parameter;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Response\Syntax\Either;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Response\Syntax\Roll;

/** What is written in a command's texts and gates: what it compares with, names and changes. */
final readonly class Written
{
    private const TEXTS = 10;

    private const NUMBERS = 12;

    /**
     * @param  list<string>  $texts
     * @param  list<int>  $numbers  and those beside them
     * @param  list<string>  $places  folded: "counter.planks", "caller.boat"
     * @param  list<string>  $changed  as written
     * @param  bool  $isOfLuck  whether anything in it is drawn
     */
    private function __construct(
        public array $texts,
        public array $numbers,
        public array $places,
        public array $changed,
        public bool $isOfLuck,
    ) {
    }

    public static function in(Command $command, Pack $pack, ResponseCache $prepared): self
    {
        $texts = $command->gates->get(InCategory::class)->names;
        $numbers = $changed = [];
        $isOfLuck = count($command->responses) > 1 || $command->gates->get(ByChance::class)->gates() !== [];
        $places = $command->gates->names();
        foreach ($command->sources() as $text) {
            $response = $prepared->response($text);
            array_push($places, ...$response->namedPlaces());
            array_push($changed, ...$response->changedPlaces());
            foreach (Part::expressions($response->parts) as $one) {
                $isOfLuck = $isOfLuck || $one instanceof Roll || $one instanceof Either;
                $value = $one instanceof Literal ? $one->value : null;
                if (is_string($value) && trim($value) !== '' && mb_strlen($value) < 60) {
                    $texts[] = $value;
                } elseif (is_int($value)) {
                    array_push($numbers, $value, $value + 1, $value - 1);
                }
            }
        }

        foreach ($places as $place) {
            array_push($texts, ...self::samples($place, $pack));
        }

        return new self(
            array_slice(array_values(array_unique($texts)), 0, self::TEXTS),
            array_slice(array_values(array_unique($numbers)), 0, self::NUMBERS),
            array_values(array_unique($places)),
            array_values(array_unique($changed)),
            $isOfLuck,
        );
    }

    /** @return list<string> what a look-up is tried with */
    private static function samples(string $place, Pack $pack): array
    {
        [$kind, $name] = explode('.', $place, 2) + [1 => ''];
        $lookup = $kind === 'lookup' ? $pack->lookups[$name] ?? null : null;

        return array_values(array_filter(array_map(
            static fn (Parameter $one): string => $one->isSecret ? '' : $one->sample,
            array_values($lookup->parameters ?? []),
        )));
    }

    /** @return list<string> what is named behind one of these: "boat" for "caller.boat" */
    public function named(string ...$kinds): array
    {
        $named = [];
        foreach ($this->places as $place) {
            [$kind, $name] = explode('.', $place, 2) + [1 => ''];
            if ($name !== '' && in_array($kind, $kinds, true)) {
                $named[$name] = true;
            }
        }

        return array_map(strval(...), array_keys($named));
    }
}
