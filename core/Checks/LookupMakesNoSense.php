<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\Parameters\Parameter;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Severity;

/**
 * A look-up whose address and parameters do not fit: one in the address that is nowhere said, one that stands in no
 * address, one that comes from what there is not, or from itself.
 */
final readonly class LookupMakesNoSense extends AbstractCheck implements OfDefinitions
{
    public function code(): string
    {
        return 'look-up-makes-no-sense';
    }

    public function severity(): Severity
    {
        return Severity::Error;
    }

    public function sentence(): string
    {
        return 'The parameter {parameter} of lookup.{name} {why}.';
    }

    public function mend(): string
    {
        return 'Change the address, or the parameter.';
    }

    public function reason(): string
    {
        return 'The source would be asked for something else than is meant, or not at all.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach (array_values($at->pack->lookups) as $index => $lookup) {
            foreach (self::wrong($lookup, $at->pack) as $parameter => $why) {
                $findings[] = new Finding($this, null, "/lookups/$index", [
                    'name' => $lookup->name,
                    'parameter' => (string) $parameter,
                    'why' => $why,
                ]);
            }
        }

        return $findings;
    }

    /** @return array<string, string> why, by parameter */
    private static function wrong(Lookup $lookup, Pack $pack): array
    {
        $wrong = [];
        $inAddress = $lookup->address->names();
        foreach ($inAddress as $name) {
            if (($lookup->parameters[Fold::caseless($name)] ?? null)?->name !== $name) {
                $wrong[$name] = 'stands in its address and is none of its parameters';
            }
        }
        foreach ($lookup->parameters as $parameter) {
            $wrong += match (true) {
                ! in_array($parameter->name, $inAddress, true) => [
                    $parameter->name => 'does not stand in its address',
                ],
                ! self::comesFromSomething($parameter, $pack) => [
                    $parameter->name => "comes from {$parameter->from}, and there is no such reading",
                ],
                self::leadsTo($parameter, $lookup, $pack, []) => [
                    $parameter->name => "comes from {$parameter->from}, which leads back to it",
                ],
                default => [],
            };
        }

        return $wrong;
    }

    private static function comesFromSomething(Parameter $parameter, Pack $pack): bool
    {
        [$source, $reading] = self::from($parameter);

        return $source === '' || isset($pack->lookups[$source]->readings[$reading]);
    }

    /** @param  array<string, true>  $seen  folded names of look-ups */
    private static function leadsTo(Parameter $parameter, Lookup $to, Pack $pack, array $seen): bool
    {
        [$source] = self::from($parameter);
        $next = $pack->lookups[$source] ?? null;
        if ($next === null || isset($seen[$source])) {
            return false;
        }
        if ($next === $to) {
            return true;
        }
        foreach ($next->parameters as $one) {
            if (self::leadsTo($one, $to, $pack, $seen + [$source => true])) {
                return true;
            }
        }

        return false;
    }

    /** @return array{string, string} folded look-up and reading; empty where it comes from no look-up */
    private static function from(Parameter $parameter): array
    {
        $parts = explode('.', Fold::caseless($parameter->from));

        return $parts[0] === 'lookup' ? [$parts[1] ?? '?', $parts[2] ?? ''] : ['', ''];
    }
}
