<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

use SilverParrot\Source\Fold;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;

/** Something that is asked of the outside: a detail of the channel or of a person, or a reading of a look-up. */
final readonly class Request
{
    private string $id;

    /** @param  array<string, string>  $arguments of a look-up */
    private function __construct(public string $subject, public string $name, public string $of, public array $arguments)
    {
        $id = $of === '' ? "$subject.$name" : "$subject.$name.$of";
        foreach ($arguments as $argument => $value) {
            $id .= "\x1F".$argument.'='.$value;
        }
        $this->id = $id;
    }

    /** @param  string  $detail "title", "category", … */
    public static function channel(string $detail): self
    {
        return new self('channel', $detail, '', []);
    }

    /** @param  string  $detail "followed", "account_made", "category" */
    public static function person(string $detail, string $login): self
    {
        return new self('person', $detail, Fold::caseless($login), []);
    }

    /** @param  array<string, string>  $arguments */
    public static function lookup(string $name, string $reading, array $arguments): self
    {
        ksort($arguments);

        return new self('lookup', Fold::caseless($name), Fold::caseless($reading), $arguments);
    }

    /** Equal for equal requests; "channel.title" and "lookup.tide.high" where there are no arguments. */
    public function id(): string
    {
        return $this->id;
    }

    public function couldNotBeHad(): Gap
    {
        return $this->subject === 'lookup'
            ? new Gap(GapReason::LookupDown, ['name' => $this->name])
            : new Gap(GapReason::DetailsDown, ['name' => "{$this->subject}.{$this->name}"]);
    }
}
