<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Storage\Assembler;
use Illuminate\Http\Request;
use SilverParrot\Checks\Checks;
use SilverParrot\Document\Document;
use SilverParrot\Format\CommandFormat;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\CommandImport;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;

/** What was pasted, which columns were chosen, and what was mended since; the page holds all of it. */
final readonly class ImportForm
{
    /** @param  array<string, string>  $texts  responses as they were changed on the page, by the rows' keys */
    private function __construct(
        public string $pasted,
        public CommandImport $brought,
        public int $trigger,
        public int $text,
        private array $texts,
        private bool $skipsFirst,
    ) {
    }

    public static function read(Request $request): self
    {
        $pasted = $request->input('pasted');
        $brought = CommandImport::read(is_string($pasted) ? $pasted : '');
        $column = static fn (string $name, int $guess): int => ctype_digit((string) $request->string($name))
        && $request->integer($name) < $brought->columns
            ? $request->integer($name)
            : $guess;
        [$trigger, $text] = [$column('trigger_column', $brought->trigger), $column('text_column', $brought->text)];
        // Another choice of columns begins anew; what was mended belonged to the old one.
        $same = $request->string('columns')->value() === "$trigger $text";

        return new self(
            is_string($pasted) ? $pasted : '',
            $brought,
            $trigger,
            $text,
            $same ? self::typed($request) : [],
            $request->boolean('skip_first'),
        );
    }

    public function skipsFirst(): bool
    {
        return $this->skipsFirst;
    }

    /** @return array<string, ImportRow> by key */
    public function rows(Channel $channel, Assembler $assembler): array
    {
        $names = $assembler->names($channel);
        $taken = [];
        foreach (
            [
                ...$channel->commands()->pluck('trigger_folded')->all(),
                ...$channel->aliases()->pluck('alias_folded')->all(),
            ] as $trigger
        ) {
            $taken[is_string($trigger) ? $trigger : ''] = 'is set off by another command here already';
        }
        $around = Assembler::environment($channel);
        $rows = $alike = [];
        foreach ($this->brought->rows as $index => $cells) {
            $content = hash('xxh128', implode("\x1F", $cells));
            $alike[$content] = ($alike[$content] ?? 0) + 1;
            if ($index === 0 && $this->skipsFirst) {
                continue;
            }
            // What was typed belongs to what a row holds: rows before it may go, and others be pasted.
            $key = "$content-{$alike[$content]}";
            [$command, $problem] = self::command($cells[$this->trigger], $this->texts[$key] ?? $cells[$this->text]);
            $folded = Fold::caseless($command->trigger);
            $rows[$key] = new ImportRow(
                $command,
                Checks::ofCommand($command, $names, $around),
                $problem ?: (isset($taken[$folded]) ? "{$command->trigger} {$taken[$folded]}." : ''),
            );
            $taken[$folded] ??= 'stands above already';
        }

        return $rows;
    }

    /** @return array{Command, string} */
    private static function command(string $trigger, string $text): array
    {
        $document = Document::of(['trigger' => $trigger, 'responses' => [['text' => $text]]]);
        $command = CommandFormat::read($document);
        $flaws = array_map(
            static fn (Finding $finding): string => trim($finding->sentence().' '.$finding->mend()),
            $document->findings(),
        );

        return [$command, $text === '' ? 'It has nothing to say.' : implode(' ', $flaws)];
    }

    /** @return array<string, string> */
    private static function typed(Request $request): array
    {
        $texts = [];
        foreach ((array) $request->input('texts', []) as $row => $text) {
            if (is_string($row) && is_string($text)) {
                $texts[$row] = str_replace("\r\n", "\n", $text);
            }
        }

        return $texts;
    }

    /** @param  array<string, string>  $texts */
    public function with(array $texts): self
    {
        return new self(
            $this->pasted,
            $this->brought,
            $this->trigger,
            $this->text,
            $texts + $this->texts,
            $this->skipsFirst,
        );
    }
}
