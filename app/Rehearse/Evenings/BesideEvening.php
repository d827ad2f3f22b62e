<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

use App\Models\RehearsalRow;

/** Two evenings beside each other: the draft and the edition, or two drafts. */
final readonly class BesideEvening
{
    private const FIGURES = ['lines' => 'lines by people', 'said' => 'sayings', 'failed' => 'failed'];

    /** @param  list<array{name: string, this: string, other: string}>  $rows  that are not the same first */
    private function __construct(public RehearsalRow $other, public array $rows)
    {
    }

    /** @return self|null null where there is none beside it */
    public static function of(RehearsalRow $row, ?RehearsalRow $other): ?self
    {
        if ($other === null || ! $row->isDrawn() || ! $other->isDrawn()) {
            return null;
        }
        [$these, $those] = [self::figures($row->result ?? []), self::figures($other->result ?? [])];
        $rows = [];
        foreach (array_keys($these + $those) as $name) {
            $rows[] = ['name' => $name, 'this' => $these[$name] ?? '–', 'other' => $those[$name] ?? '–'];
        }
        $isSame = static fn (array $one): bool => $one['this'] === $one['other'];
        usort($rows, static fn (array $a, array $b): int => $isSame($a) <=> $isSame($b));

        return new self($other, $rows);
    }

    /**
     * @param  array<string, mixed>  $result
     * @return array<string, string> by what they are of
     */
    private static function figures(array $result): array
    {
        $number = static fn (mixed $of): string => is_int($of) ? number_format($of) : '0';
        $figures = [];
        foreach (self::FIGURES as $key => $name) {
            $figures[$name] = $number($result[$key] ?? null);
        }
        $share = $result['share'] ?? 0;
        $figures['share of the chat'] = round(100 * (is_numeric($share) ? (float) $share : 0), 1).' %';
        foreach (is_array($result['commands'] ?? null) ? $result['commands'] : [] as $lane) {
            if (is_array($lane) && is_string($lane['name'] ?? null)) {
                $asked = $number($lane['asked'] ?? null);
                $figures[$lane['name']] = "{$number($lane['answered'] ?? null)} of $asked answered";
            }
        }

        return $figures;
    }
}
