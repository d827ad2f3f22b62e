<?php

declare(strict_types=1);

namespace SilverParrot\Pack\Import;

/** Which column of a pasted table holds what, guessed from headings and content, or as the author said. */
final readonly class ImportColumns
{
    /**
     * @param  array<int, ImportColumn>  $held  by column, from 0 on; those that are left out are not in it
     * @param  array<int, string>  $units  of bare numbers in a column of times: "seconds"
     */
    public function __construct(public array $held, public array $units, public bool $hasHeading)
    {
    }

    public static function guess(PastedTable $table): self
    {
        $first = $table->rows[0] ?? [];
        $headed = array_filter(array_map(ImportColumn::headed(...), $first));
        $hasHeading =
            (in_array(ImportColumn::Trigger, $headed, true) || in_array(ImportColumn::Response, $headed, true))
            && array_filter($first, static fn (string $cell): bool => str_starts_with($cell, '!')) === [];
        $held = [];
        $units = [];
        foreach ($hasHeading ? $headed : [] as $column => $one) {
            if (! in_array($one, $held, true)) {
                $held[$column] = $one;
                $unit = ImportCell::unitIn($first[$column]);
                $units += $unit === null ? [] : [$column => $unit];
            }
        }
        $rows = array_slice($table->rows, $hasHeading ? 1 : 0);
        $held = self::byContent($held, $rows, $table->columns);

        return new self(self::mainOnes($held, $rows, $table->columns), $units, $hasHeading);
    }

    /** Where something is held; null where it is not. */
    public function of(ImportColumn $held): ?int
    {
        $column = array_search($held, $this->held, true);

        return $column === false ? null : $column;
    }

    /** @return list<int> columns with content that nothing is made of */
    public function leftOver(PastedTable $table): array
    {
        $left = [];
        foreach (array_diff(range(0, $table->columns - 1), array_keys($this->held)) as $column) {
            if (trim(implode('', array_column(array_slice($table->rows, $this->hasHeading ? 1 : 0), $column))) !== '') {
                $left[] = $column;
            }
        }

        return $left;
    }

    /** @return list<int> columns of times in which numbers stand whose unit nobody said */
    public function withoutUnit(PastedTable $table): array
    {
        $asked = [];
        foreach ($this->held as $column => $one) {
            if (
                in_array($one, [ImportColumn::Cooldown, ImportColumn::PersonCooldown], true)
                && ! isset($this->units[$column])
                && array_filter(
                    array_column(array_slice($table->rows, $this->hasHeading ? 1 : 0), $column),
                    ctype_digit(...),
                ) !== []
            ) {
                $asked[] = $column;
            }
        }

        return $asked;
    }

    /**
     * @param  array<int, ImportColumn>  $held
     * @param  list<list<string>>  $rows
     * @return array<int, ImportColumn>
     */
    private static function byContent(array $held, array $rows, int $columns): array
    {
        foreach (range(0, $columns - 1) as $column) {
            $cells = array_filter(array_column($rows, $column), static fn (string $cell): bool => $cell !== '');
            foreach (isset($held[$column]) || $columns < 3 || $cells === [] ? [] : ImportColumn::cases() as $one) {
                if (
                    ! in_array($one, $held, true)
                    && array_filter($cells, static fn (string $cell): bool => ! $one->isPlainly($cell)) === []
                    && ($one !== ImportColumn::Aliases || self::firstOfTriggers($held, $rows, $column))
                ) {
                    $held[$column] = $one;
                    break;
                }
            }
        }

        return $held;
    }

    /**
     * Triggers and aliases look alike; triggers stand before.
     *
     * @param  array<int, ImportColumn>  $held
     * @param  list<list<string>>  $rows
     */
    private static function firstOfTriggers(array $held, array $rows, int $column): bool
    {
        foreach (range(0, $column) as $before) {
            if ($before < $column && ImportColumn::Aliases->isPlainly($rows[0][$before] ?? '')) {
                return true;
            }
        }

        return in_array(ImportColumn::Trigger, $held, true);
    }

    /**
     * Triggers are single words, best with a sign before them; the response is what is longest of the rest.
     *
     * @param  array<int, ImportColumn>  $held
     * @param  list<list<string>>  $rows
     * @return array<int, ImportColumn>
     */
    private static function mainOnes(array $held, array $rows, int $columns): array
    {
        $words = $lengths = array_diff_key(array_fill(0, $columns, 0), $held);
        foreach ($rows as $row) {
            foreach (array_intersect_key($row, $words) as $column => $cell) {
                if ($cell !== '' && preg_match('/\s/u', $cell) !== 1) {
                    $words[$column] += $cell[0] === '!' ? 3 : 1;
                }
                $lengths[$column] += mb_strlen($cell);
            }
        }
        if (! in_array(ImportColumn::Trigger, $held, true) && $words !== []) {
            $trigger = (int) array_search(max($words), $words, true);
            $held[$trigger] = ImportColumn::Trigger;
            unset($lengths[$trigger]);
        }
        if (! in_array(ImportColumn::Response, $held, true) && $lengths !== []) {
            $held[(int) array_search(max($lengths), $lengths, true)] = ImportColumn::Response;
        }
        ksort($held);

        return $held;
    }
}
