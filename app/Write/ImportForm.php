<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Storage\Assembler;
use App\Wording\Sentences;
use Illuminate\Http\Request;
use SilverParrot\Checks\Checks;
use SilverParrot\Document\Document;
use SilverParrot\Format\CommandFormat;
use SilverParrot\Hearing\CommandSummary;
use SilverParrot\Pack\Import\ImportCell;
use SilverParrot\Pack\Import\ImportColumn;
use SilverParrot\Pack\Import\ImportColumns;
use SilverParrot\Pack\Import\ImportedRow;
use SilverParrot\Pack\Import\PastedTable;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;

/** What was pasted, what its columns hold, and what was changed since; the page holds all of it. */
final readonly class ImportForm
{
    /**
     * @param  array<string, string>  $triggers  as they were changed on the page, by the rows' keys
     * @param  array<string, string>  $texts  responses, likewise
     */
    private function __construct(
        public string $pasted,
        public PastedTable $table,
        public ImportColumns $columns,
        private array $triggers,
        private array $texts,
        public bool $onlyProblems,
    ) {
    }

    public static function read(Request $request): self
    {
        $pasted = $request->input('pasted');
        $pasted = is_string($pasted) ? str_replace("\r\n", "\n", $pasted) : '';
        $table = PastedTable::read($pasted);

        return new self(
            $pasted,
            $table,
            self::columns($request, $table),
            self::typed($request, 'triggers'),
            self::typed($request, 'texts'),
            $request->boolean('only_problems'),
        );
    }

    /** What was chosen, for as long as the table has as many columns; else what can be guessed. */
    private static function columns(Request $request, PastedTable $table): ImportColumns
    {
        $chosen = array_filter((array) $request->input('columns', []), is_string(...));
        if (count($chosen) !== $table->columns) {
            return ImportColumns::guess($table);
        }
        $held = [];
        foreach (array_values($chosen) as $column => $one) {
            $one = ImportColumn::tryFrom($one);
            if ($one !== null && ! in_array($one, $held, true)) {
                $held[$column] = $one;
            }
        }

        $units = [];
        foreach ((array) $request->input('units', []) as $column => $unit) {
            if (is_int($column) && is_string($unit) && isset(ImportCell::UNITS[$unit])) {
                $units[$column] = $unit;
            }
        }

        return new ImportColumns(
            $held,
            $units,
            $request->boolean('has_heading'),
        );
    }

    /** @return array<string, ImportRow> by key */
    public function rows(Channel $channel, Assembler $assembler, Sentences $sentences): array
    {
        $names = $assembler->names($channel);
        $taken = [];
        foreach (
            [
                ...$channel->commands()->pluck('trigger_folded')->all(),
                ...$channel->aliases()->pluck('alias_folded')->all(),
            ] as $trigger
        ) {
            $taken[is_string($trigger) ? $trigger : ''] = 'is used by another command here already';
        }
        $around = Assembler::environment($channel);
        $prepared = new ResponseCache;
        $rows = $alike = [];
        foreach ($this->table->rows as $index => $cells) {
            $content = $this->content($cells);
            $alike[$content] = ($alike[$content] ?? 0) + 1;
            if ($index === 0 && $this->columns->hasHeading) {
                continue;
            }
            // What was typed belongs to what a row holds: rows before it may go, and others be pasted.
            $key = "$content-{$alike[$content]}";
            $imported = ImportedRow::read(
                $cells,
                $this->columns,
                $this->triggers[$key] ?? null,
                $this->texts[$key] ?? null,
            );
            $document = Document::of($imported->document);
            $command = CommandFormat::read($document);
            $problems = array_map(
                static fn (Finding $finding): string => trim($finding->sentence().' '.$finding->mend()),
                $document->findings(),
            );
            $response = $command->responses[0] ?? null;
            $problems = [
                ...(trim($response?->text() ?? '') === '' ? ['It has nothing to say.'] : $problems),
                ...array_map($sentences->of(...), $imported->problems),
            ];
            foreach ($command->triggers->all() as $trigger) {
                $problems = isset($taken[Fold::caseless($trigger)])
                    ? [...$problems, "$trigger {$taken[Fold::caseless($trigger)]}."]
                    : $problems;
                $taken[Fold::caseless($trigger)] ??= 'stands above already';
            }
            $rows[$key] = new ImportRow(
                $command,
                Checks::ofCommand($command, $names, $around, $prepared),
                $problems,
                $sentences->summary(CommandSummary::of($command, $prepared)),
            );
        }

        return $rows;
    }

    /**
     * What is left when some rows were taken, as a table like the one that was pasted.
     *
     * @param  list<string>  $taken  keys of rows
     */
    public function pastedWithout(array $taken): string
    {
        $lines = $alike = [];
        foreach ($this->table->rows as $index => $cells) {
            $content = $this->content($cells);
            $alike[$content] = ($alike[$content] ?? 0) + 1;
            if (
                ($index === 0 && $this->columns->hasHeading)
                || ! in_array("$content-{$alike[$content]}", $taken, true)
            ) {
                $lines[] = $cells;
            }
        }

        return PastedTable::written($lines);
    }

    /** @param  list<string>  $cells */
    private function content(array $cells): string
    {
        $main = [$this->columns->of(ImportColumn::Trigger), $this->columns->of(ImportColumn::Response)];

        return hash('xxh128', implode("\x1F", [...$cells, ...$main]));
    }

    /** @return array<string, string> */
    private static function typed(Request $request, string $field): array
    {
        $typed = [];
        foreach ((array) $request->input($field, []) as $row => $text) {
            if (is_string($row) && is_string($text)) {
                $typed[$row] = str_replace("\r\n", "\n", $text);
            }
        }

        return $typed;
    }

    /** @param  array<string, string>  $texts */
    public function with(array $texts): self
    {
        return new self(
            $this->pasted,
            $this->table,
            $this->columns,
            $this->triggers,
            $texts + $this->texts,
            $this->onlyProblems,
        );
    }
}
