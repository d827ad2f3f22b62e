<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

use DateTimeZone;
use SilverParrot\Lookup\Kinds\TextKind;
use SilverParrot\Lookup\Paths\AnswerFormat;
use SilverParrot\Lookup\Paths\BadAnswer;
use SilverParrot\Lookup\Paths\BadPath;
use SilverParrot\Lookup\Paths\Found;
use SilverParrot\Lookup\Paths\Paths;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Value;

/** The readings of one answer. It is read once, however many there are. */
final class AnswerReader
{
    /** Of what a path meets, as many are told. */
    private const TOLD = 5;

    private Paths|GapReason|null $paths = null;

    /** @param  DateTimeZone  $zone  of moments that are written without one */
    public function __construct(
        private readonly Lookup $lookup,
        private readonly Answer $answer,
        private readonly DateTimeZone $zone,
    ) {
    }

    /** Every reading. */
    public function all(): ReadAnswer
    {
        return new ReadAnswer(
            array_map($this->one(...), $this->lookup->readings),
            array_filter(
                array_map($this->raw(...), $this->lookup->readings),
                static fn (string $one): bool => $one !== '',
            ),
            array_filter(
                array_map(fn (Reading $one): int => count($this->found($one)), $this->lookup->readings),
                static fn (int $places): bool => $places > 1,
            ),
        );
    }

    /** What its path meets, as it stands there; of several, the first ones. */
    public function raw(Reading $reading): string
    {
        $found = array_slice($this->found($reading), 0, self::TOLD);
        $texts = array_map(static fn (Found $one): string => $one->text, $found);

        return mb_substr(TextKind::plain(implode(', ', $texts), ReadAnswer::RAW) ?? '', 0, ReadAnswer::RAW);
    }

    public function one(Reading $reading): bool|int|string|Value
    {
        $paths = $this->paths ??= $this->open();
        if ($paths instanceof GapReason) {
            return new Gap($paths, [
                'name' => $this->lookup->name,
                'status' => (string) $this->answer->status,
                'format' => strtoupper($this->lookup->format->value),
            ]);
        }
        try {
            return $reading->value($paths->at($reading->path), $this->zone);
        } catch (BadPath) {
            return $reading->gap(GapReason::LookupMissing);
        }
    }

    /** @return list<Found> */
    private function found(Reading $reading): array
    {
        try {
            return $this->paths instanceof Paths ? $this->paths->at($reading->path) : [];
        } catch (BadPath) {
            return [];
        }
    }

    /** A source that is down says so in a status, or in a page for people. */
    private function open(): Paths|GapReason
    {
        if ($this->answer->status < 200 || $this->answer->status > 299) {
            return GapReason::LookupStatus;
        }
        if (strlen($this->answer->body) > Answer::LARGEST) {
            return GapReason::LookupTooLarge;
        }
        $type = $this->answer->contentType();
        $isPage = $this->lookup->format !== AnswerFormat::Html
            && (AnswerFormat::Html->fits($type)
                || preg_match('/^\s{0,1000}<(?:!doctype\s+html|html)\b/i', $this->answer->body) === 1);
        if ($isPage) {
            return GapReason::LookupAnotherFormat;
        }
        try {
            return $this->lookup->format->read($this->answer->body);
        } catch (BadAnswer) {
            return GapReason::LookupBroken;
        }
    }
}
