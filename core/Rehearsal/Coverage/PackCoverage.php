<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Coverage;

use SilverParrot\Pack\Pack;
use SilverParrot\Response\ResponseCache;

/** How much of a whole pack scripts come to. */
final readonly class PackCoverage
{
    public int $parts;

    public int $reached;

    /** @param  array<string, Coverage>  $commands  by trigger */
    private function __construct(public array $commands)
    {
        $this->parts = array_sum(array_map(static fn (Coverage $one): int => $one->parts, $commands));
        $this->reached = array_sum(array_map(static fn (Coverage $one): int => $one->reached, $commands));
    }

    /** @param  array<string, true>  $reached  as Reach calls it */
    public static function of(Pack $pack, array $reached, ResponseCache $prepared = new ResponseCache): self
    {
        $commands = [];
        foreach ($pack->commands as $command) {
            $commands[$command->trigger] = new Coverage(Coverables::of($command, $pack, $prepared), $reached);
        }

        return new self($commands);
    }

    /** @return int of a hundred, rounded down: only all is 100 */
    public function percent(): int
    {
        return $this->parts === 0 ? 0 : intdiv($this->reached * 100, $this->parts);
    }

    /** @return array<string, Coverage> that scripts come to some of, or none, the least first */
    public function incomplete(): array
    {
        $incomplete = array_filter(
            $this->commands,
            static fn (Coverage $one): bool => $one->reached < $one->parts,
        );
        uasort(
            $incomplete,
            static fn (Coverage $a, Coverage $b): int => $a->reached * $b->parts <=> $b->reached * $a->parts,
        );

        return $incomplete;
    }
}
