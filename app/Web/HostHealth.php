<?php

declare(strict_types=1);

namespace App\Web;

use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\Trouble;
use SilverParrot\Value\Moment;

/** How asking one host went: its last answers, and its failures by kind. */
final readonly class HostHealth
{
    /** Last answers that are told. */
    private const LAST = 5;

    /**
     * @param  list<array{string, string}>  $last  when and what, "200" or a trouble, the newest first
     * @param  array<array-key, int>  $failures  how often, by the same
     */
    private function __construct(public array $last, public array $failures)
    {
    }

    public static function of(string $kept): self
    {
        $read = json_decode($kept, true);
        $read = is_array($read) ? $read : [];
        $last = $failures = [];
        foreach (is_array($read['last'] ?? null) ? $read['last'] : [] as $one) {
            if (is_array($one) && is_string($one[0] ?? null) && is_string($one[1] ?? null)) {
                $last[] = [$one[0], $one[1]];
            }
        }
        foreach (is_array($read['failures'] ?? null) ? $read['failures'] : [] as $kind => $times) {
            $failures[(string) $kind] = is_int($times) ? $times : 0;
        }

        return new self($last, $failures);
    }

    public function after(Answer|Trouble $answer, Moment $at): self
    {
        $what = $answer instanceof Answer ? (string) $answer->status : $answer->value;
        $isFailure = $answer instanceof Trouble || $answer->status >= 400;

        return new self(
            array_slice([[$at->iso(), $what], ...$this->last], 0, self::LAST),
            $isFailure ? [$what => ($this->failures[$what] ?? 0) + 1] + $this->failures : $this->failures,
        );
    }

    public function kept(): string
    {
        return json_encode(['last' => $this->last, 'failures' => (object) $this->failures], JSON_THROW_ON_ERROR);
    }

    /** @return string "timeout 3 times, status 503 once"; empty where it never failed */
    public function failuresInWords(): string
    {
        return implode(', ', array_map(
            static fn (string $kind, int $times): string => self::inWords($kind)
                .($times === 1 ? ' once' : " $times times"),
            array_map(strval(...), array_keys($this->failures)),
            $this->failures,
        ));
    }

    public static function inWords(string $what): string
    {
        return ctype_digit($what) ? "status $what" : strtr($what, '_', ' ');
    }
}
