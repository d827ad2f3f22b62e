<?php

declare(strict_types=1);

namespace SilverParrot\Pack\Import;

use SilverParrot\Source\Message;

/** One row of a pasted table as a command of a pack document, and what of it could not be read. */
final readonly class ImportedRow
{
    private const MOST_ALIASES = 20;

    /**
     * @param  array<string, mixed>  $document
     * @param  list<Message>  $problems  a row with one is not kept: nothing of it is guessed or left out in silence
     */
    private function __construct(public array $document, public array $problems)
    {
    }

    /**
     * @param  list<string>  $cells
     * @param  string|null  $trigger  as it was changed since; null for the cell's
     * @param  string|null  $response  likewise
     */
    public static function read(array $cells, ImportColumns $columns, ?string $trigger, ?string $response): self
    {
        $cell = static function (ImportColumn $of) use ($cells, $columns): string {
            $column = $columns->of($of);

            return $column === null ? '' : $cells[$column] ?? '';
        };
        $document = [
            'trigger' => $trigger ?? $cell(ImportColumn::Trigger),
            'responses' => [['text' => $response ?? $cell(ImportColumn::Response)]],
            'group' => $cell(ImportColumn::Group),
            'note' => $cell(ImportColumn::Note),
        ];
        $problems = [];
        $aliases = preg_split('/[\s,;]+/u', $cell(ImportColumn::Aliases), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $document['aliases'] = array_slice($aliases, 0, self::MOST_ALIASES);
        foreach (
            [
                'channel' => ImportColumn::Cooldown,
                'person' => ImportColumn::PersonCooldown,
            ] as $of => $column
        ) {
            $typed = $cell($column);
            $unit = $columns->units[$columns->of($column) ?? -1] ?? null;
            $seconds = ImportCell::seconds($typed, $unit);
            if ($seconds !== null) {
                $document['cooldown'][$of] = $seconds;
            } elseif ($typed !== '') {
                $problems[] = new Message(ctype_digit($typed) ? 'import.no-unit' : 'import.no-time', [
                    'cell' => $typed,
                ]);
            }
        }
        $levels = ImportCell::levels($cell(ImportColumn::Level));
        if ($levels !== null && $levels !== []) {
            $document['levels'] = $levels;
        } elseif ($levels === null && $cell(ImportColumn::Level) !== '') {
            $problems[] = new Message('import.no-level', ['cell' => $cell(ImportColumn::Level)]);
        }
        $isOn = ImportCell::yes($cell(ImportColumn::Enabled));
        if ($isOn !== null) {
            $document['enabled'] = $isOn;
        } elseif ($cell(ImportColumn::Enabled) !== '') {
            $problems[] = new Message('import.no-yes', ['cell' => $cell(ImportColumn::Enabled)]);
        }

        return new self($document, $problems);
    }
}
