<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

use Illuminate\Database\Query\Builder;
use Illuminate\Http\Request;
use SilverParrot\Figures\MarkKind;

/** Which part of an evening is looked at, and of whom and what. */
final readonly class PictureView
{
    /** Nearer one does not look: ten seconds, in milliseconds. */
    private const NEAREST = 10_000;

    /** Between what came of it and the gate. */
    private const BY = ' by ';

    /**
     * @param  int  $from  milliseconds since the start
     * @param  int  $to  behind the last of them
     * @param  string  $person  empty for everybody
     * @param  string  $lane  its number; empty for all
     * @param  string  $gate  that kept it back; empty for any
     */
    private function __construct(
        public int $from,
        public int $to,
        public string $person,
        public string $lane,
        public ?MarkKind $kind,
        public string $gate,
        private int $length,
    ) {
    }

    public static function read(Request $request, int $length): self
    {
        $length = max(self::NEAREST, $length);
        $from = max(0, min($length - self::NEAREST, $request->integer('from')));
        $to = $request->integer('to', $length);
        [$kind, $gate] = explode(self::BY, $request->string('kind')->value(), 2) + [1 => ''];

        return new self(
            $from,
            max($from + self::NEAREST, min($length, $to > 0 ? $to : $length)),
            mb_substr($request->string('person')->trim()->value(), 0, 60),
            $request->filled('lane') ? (string) max(0, $request->integer('lane')) : '',
            MarkKind::tryFrom($kind),
            mb_substr($gate, 0, 60),
            $length,
        );
    }

    public function filtered(Builder $marks): Builder
    {
        return $marks
            ->whereBetween('millis', [$this->from, $this->to])
            ->when($this->person !== '', fn (Builder $of): Builder => $of->where('person', $this->person))
            ->when($this->lane !== '', fn (Builder $of): Builder => $of->where('lane', (int) $this->lane))
            ->when($this->kind !== null, fn (Builder $of): Builder => $of->where('kind', $this->kind?->value))
            ->when($this->gate !== '', fn (Builder $of): Builder => $of->where('gate', $this->gate));
    }

    /** What came of it, and by which gate, as the field has it. */
    public function reason(): string
    {
        return $this->kind === null ? '' : self::reasonOf($this->kind, $this->gate);
    }

    public static function reasonOf(MarkKind $kind, string $gate = ''): string
    {
        return $kind->value.($gate === '' ? '' : self::BY.$gate);
    }

    /** @return array<string, int|string> the same filters at another time, for an address */
    public function at(int $from, int $to): array
    {
        $width = max(self::NEAREST, min($this->length, $to - $from));
        $from = max(0, min($this->length - $width, $from));

        return array_filter([
            'from' => $from,
            'to' => $from + $width,
            'person' => $this->person,
            'lane' => $this->lane,
            'kind' => $this->reason(),
        ], static fn (int|string $one): bool => $one !== '');
    }

    /** @return array<string, int|string> half as much, around the middle */
    public function nearer(): array
    {
        $quarter = intdiv($this->to - $this->from, 4);

        return $this->at($this->from + $quarter, $this->to - $quarter);
    }

    /** @return array<string, int|string> twice as much */
    public function farther(): array
    {
        $half = intdiv($this->to - $this->from, 2);

        return $this->at($this->from - $half, $this->to + $half);
    }

    /** @return array<string, int|string> */
    public function moved(float $part): array
    {
        $by = (int) (($this->to - $this->from) * $part);

        return $this->at($this->from + $by, $this->to + $by);
    }

    /** @return array<string, int|string> all of the evening */
    public function whole(): array
    {
        return $this->at(0, $this->length);
    }

    public function isWhole(): bool
    {
        return $this->from === 0 && $this->to === $this->length;
    }
}
