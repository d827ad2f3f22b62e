<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts\Expecting;

use SilverParrot\Document\Document;
use SilverParrot\Rehearsal\Scripts\Expects;
use SilverParrot\Rehearsal\Scripts\Seen;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Message;

/** A look-up is asked, with what, or not at all. */
final readonly class Asks implements Expects
{
    /**
     * @param  array<string, string>  $with  by parameter
     * @param  bool  $isNot  whether it must not be asked
     */
    public function __construct(public string $lookup, public array $with = [], public bool $isNot = false)
    {
    }

    public static function key(): string
    {
        return 'asks';
    }

    public static function isOfAll(): bool
    {
        return false;
    }

    public static function read(Document $at): self
    {
        if (! $at->isStructured()) {
            return new self($at->text(60));
        }
        $at->object(['lookup', 'with', 'not'], ['lookup']);

        return new self(
            $at->at('lookup')->text(60),
            $at->has('with') ? array_map(
                static fn (Document $one): string => (string) $one->scalar(),
                array_filter($at->at('with')->each(), is_string(...), ARRAY_FILTER_USE_KEY),
            ) : [],
            $at->has('not') && $at->at('not')->flag(),
        );
    }

    /** @return string|array<string, mixed> */
    public function write(): string|array
    {
        return $this->with === [] && ! $this->isNot
            ? $this->lookup
            : ['lookup' => $this->lookup] + array_filter(['with' => $this->with, 'not' => $this->isNot]);
    }

    public function unmet(Seen $seen): ?Message
    {
        $asked = false;
        foreach (array_keys($seen->asked) as $id) {
            $parts = explode("\x1F", $id);
            $isIt = str_starts_with($parts[0], 'lookup.'.Fold::caseless($this->lookup).'.');
            foreach ($this->with as $name => $value) {
                $isIt = $isIt && in_array(Fold::caseless("$name=".rawurlencode($value)), array_map(
                    Fold::caseless(...),
                    $parts,
                ), true);
            }
            $asked = $asked || $isIt;
        }

        return match (true) {
            $asked && $this->isNot => new Message('expectations.asked', ['lookup' => $this->lookup]),
            ! $asked && ! $this->isNot => new Message('expectations.not-asked', ['lookup' => $this->lookup]),
            default => null,
        };
    }
}
