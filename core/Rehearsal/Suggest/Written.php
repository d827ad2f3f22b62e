<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Suggest;

use SilverParrot\Hearing\Gates\ByChance;
use SilverParrot\Hearing\Gates\InCategory;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\Parameters\Parameter;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Response\Syntax\Either;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Response\Syntax\Roll;
use SilverParrot\Source\Fold;

/** What is written in a command's texts and gates: what it compares with, names and changes. */
final readonly class Written
{
    private const TEXTS = 10;

    private const NUMBERS = 12;

    private const SAMPLES = 2;

    /**
     * @param  list<string>  $texts
     * @param  list<int>  $numbers  and those beside them
     * @param  list<string>  $places  folded: "counter.planks", "caller.boat"
     * @param  list<string>  $samples  what its look-ups are tried with
     * @param  list<string>  $changed  as written
     * @param  bool  $isOfLuck  whether anything in it is drawn
     */
    private function __construct(
        public array $texts,
        public array $numbers,
        public array $places,
        public array $samples,
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

        $places = self::withChains(array_values(array_unique($places)), $pack);
        $samples = array_merge([], ...array_map(
            static fn (string $place): array => self::samples($place, $pack),
            $places,
        ));
        array_push($texts, ...$samples);

        return new self(
            array_slice(array_values(array_unique($texts)), 0, self::TEXTS),
            array_slice(array_values(array_unique($numbers)), 0, self::NUMBERS),
            $places,
            array_slice(array_values(array_unique($samples)), 0, self::SAMPLES),
            array_values(array_unique($changed)),
            $isOfLuck,
        );
    }

    /**
     * With the look-ups whose readings others are asked with.
     *
     * @param  list<string>  $places
     * @return list<string>
     */
    private static function withChains(array $places, Pack $pack): array
    {
        for ($at = 0; isset($places[$at]); $at++) {
            foreach (self::lookup($places[$at], $pack)->parameters ?? [] as $parameter) {
                [$kind, $name] = explode('.', $parameter->from, 3) + [1 => ''];
                $chained = "$kind.".Fold::caseless($name);
                if ($kind === 'lookup' && ! in_array($chained, $places, true)) {
                    $places[] = $chained;
                }
            }
        }

        return $places;
    }

    private static function lookup(string $place, Pack $pack): ?Lookup
    {
        [$kind, $name] = explode('.', $place, 2) + [1 => ''];

        return $kind === 'lookup' ? $pack->lookups[$name] ?? null : null;
    }

    /** @return list<string> what a look-up is tried with */
    private static function samples(string $place, Pack $pack): array
    {
        $lookup = self::lookup($place, $pack);

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
