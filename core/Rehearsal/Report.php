<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Hearing\Trace\Entry;
use SilverParrot\Source\Wording;

/** What a rehearsal came to. */
final readonly class Report
{
    /** @param  list<Heard>  $heard */
    public function __construct(public array $heard)
    {
    }

    /** @param  int  $number  of one of the chat's lines, from 0 on */
    public function line(int $number): ?Heard
    {
        return array_values(array_filter($this->heard, static fn (Heard $one): bool => $one->number === $number))[0]
            ?? null;
    }

    /**
     * @return array{lines: list<array<string, mixed>>, said: string, silent: string, closed: string, failed: string}
     *     numbers as text; docs/formats/rehearsal.schema.json
     */
    public function toArray(Wording $wording): array
    {
        return [
            'lines' => array_map(static fn (Heard $one): array => self::entry($one, $wording), $this->heard),
            'said' => (string) $this->count(static fn (Heard $one): bool => $one->outcome->sayings !== []),
            'silent' => (string) $this->count(static fn (Heard $one): bool => $one->outcome->sayings === []),
            'closed' => (string) $this->count(static fn (Heard $one): bool => $one->outcome->closed !== null),
            'failed' => (string) $this->count(static fn (Heard $one): bool => $one->outcome->failed !== null),
        ];
    }

    /** @return array<string, mixed> */
    private static function entry(Heard $heard, Wording $wording): array
    {
        return [
            'at' => self::clock($heard->line->millis),
            'by' => $heard->by->name ?? '',
            'text' => $heard->line->text,
        ]
            + Answer::of($heard->outcome, $wording) + [
                'why' => array_map(
                    static fn (Entry $entry): string => $wording->of($entry->message()),
                    $heard->outcome->trace?->entries() ?? [],
                ),
            ];
    }

    /** "+75s" */
    private static function clock(int $millis): string
    {
        return '+'.intdiv($millis, 1000).'s';
    }

    /** @param  callable(Heard): bool  $is */
    private function count(callable $is): int
    {
        return count(array_filter($this->heard, $is));
    }
}
