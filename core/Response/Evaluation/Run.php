<?php

declare(strict_types=1);

namespace SilverParrot\Response\Evaluation;

use SilverParrot\Chance\Draw;
use SilverParrot\Lookup\Request;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Overlay;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Value;
use SilverParrot\World;

/** One saying of one response: what it sees, what it has said and changed so far. */
final class Run
{
    public readonly Overlay $memory;

    public readonly Printer $printer;

    private Spoken $spoken;

    /** @var array<string, null|bool|int|string|Value> by folded name */
    private array $bound = [];

    /** @var array<int, int> how often each place was drawn */
    private array $uses = [];

    /** @param  string  $place names the response among all others, for chance: "!tide/0" */
    public function __construct(
        public readonly World $world,
        public readonly Scene $scene,
        private readonly string $place,
        private readonly Needed $needed,
        public readonly ?SlotTrace $trace = null,
    ) {
        $this->memory = new Overlay($world->memory);
        $this->printer = new Printer($world->pack->channel);
        $this->spoken = new Spoken;
    }

    public function add(string $text, bool $fromSlot): void
    {
        $this->spoken->add($text, $fromSlot);
        // Bytes are a cheap bound: only beyond it are characters counted.
        if ($this->spoken->bytes > Limits::SAID && mb_strlen($this->spoken->text()) > Limits::SAID) {
            throw Failed::tooMuchSaid();
        }
    }

    public function spoken(): Spoken
    {
        return $this->spoken;
    }

    public function bind(string $name, null|bool|int|string|Value $value): void
    {
        $this->bound[$name] = $value;
    }

    public function bound(string $name): null|bool|int|string|Value
    {
        return $this->bound[$name] ?? null;
    }

    public function draw(Span $span): Draw
    {
        $use = $this->uses[$span->from] ?? 0;
        $this->uses[$span->from] = $use + 1;

        return $this->world->chance->at($this->place.'@'.$span->from, $use);
    }

    /** Whether the key has been fetched; noted as needed where it has not. */
    public function knows(Key $key): bool
    {
        if ($this->memory->knows($key)) {
            return true;
        }
        $this->needed->key($key);

        return false;
    }

    public function read(Request $request): null|bool|int|string|Value
    {
        $reading = $this->world->readings->read($request);
        if ($reading instanceof Gap && $reading->isPending()) {
            $this->needed->request($request);
        }

        return $reading;
    }

    public function change(Change $change): void
    {
        $this->memory->change($change);
    }

    /** @return list<Change> */
    public function changes(): array
    {
        return $this->memory->changes();
    }
}
