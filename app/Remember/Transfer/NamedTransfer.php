<?php

declare(strict_types=1);

namespace App\Remember\Transfer;

use App\Models\Channel;
use App\Models\User;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Named\NamedDefinition;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Validator;
use SilverParrot\Format\PackFormat;
use SilverParrot\Source\Fold;

/** Facts, counters, occasions, fields or goods, by their names: by the same rules as on their forms. */
final readonly class NamedTransfer implements Transfer
{
    public function __construct(private NamedDefinition $kind, private DefinitionHistory $history)
    {
    }

    public function key(): string
    {
        return $this->kind->key();
    }

    public function many(): string
    {
        return $this->kind->key();
    }

    public function columns(): array
    {
        return ['name', ...array_keys($this->kind->columns([]))];
    }

    public function main(): string
    {
        return 'name';
    }

    public function rows(Channel $channel): iterable
    {
        foreach ($this->kind->rows($channel)->orderBy('name_folded')->pluck('stable_id') as $id) {
            $state = is_string($id) ? $this->kind->read($channel, $id) : null;
            if ($state !== null) {
                yield array_map(self::written(...), $state);
            }
        }
    }

    public function look(Channel $channel, array $rows): array
    {
        $here = [];
        foreach ($this->kind->rows($channel)->pluck('stable_id', 'name_folded') as $name => $id) {
            $here[(string) $name] = is_string($id) ? $id : '';
        }
        $looked = [];
        $named = [];
        foreach ($rows as $row) {
            $name = trim($row['name'] ?? '');
            $folded = Fold::caseless($name);
            $state = isset($here[$folded]) ? $this->kind->read($channel, $here[$folded]) ?? [] : [];
            // What was not brought stays as it is; of new ones it is as on an empty form.
            $typed = array_filter($row, static fn (string $cell): bool => $cell !== '')
                + array_map(self::written(...), $state === [] ? $this->kind->columns([]) : $state);
            $typed = array_map(
                static fn (int|string $cell): string => match ($cell) {
                    'yes' => '1',
                    'no' => '0',
                    default => (string) $cell,
                },
                array_filter($typed, static fn (int|string $cell): bool => $cell !== ''),
            );
            $isNamed = preg_match('/^[\p{L}_][\p{L}\p{M}\p{N}_]{0,59}$/Du', $name) === 1;
            $isFull = count($here) + count($named) >= PackFormat::DEFINITIONS;
            $problem = match (true) {
                ! $isNamed => 'Its name is none: letters, digits '
                    .'and “_”, beginning with a letter.',
                isset($named[$folded]) => 'It comes twice.',
                $isFull && ! isset($here[$folded]) => 'There is no room '
                    .'for more.',
                default => Validator::make($typed, $this->kind->rules())->errors()->first(),
            };
            if ($problem !== '') {
                $looked[] = BroughtRow::wrong($name, $problem);

                continue;
            }
            $named[$folded] = true;
            $after = ['name' => $name] + $this->kind->columns($typed);
            $told = "{$this->kind->prefix()}.$name";
            $looked[] = match (true) {
                $state === [] => BroughtRow::new($told, $after),
                $state == $after => BroughtRow::same($told),
                default => BroughtRow::changed($told, ['stable' => $here[$folded]] + $after),
            };
        }

        return $looked;
    }

    public function keep(Channel $channel, array $rows, User $by): void
    {
        DB::transaction(function () use ($channel, $rows, $by): void {
            foreach ($rows as $row) {
                $name = is_string($row->values['name'] ?? null) ? $row->values['name'] : '';
                $id = is_string($row->values['stable'] ?? null)
                    ? $row->values['stable']
                    : $this->kind->idFor($channel, $name);
                $state = array_diff_key($row->values, ['stable' => true]);
                $this->history->change(
                    $channel,
                    $this->kind,
                    $id,
                    $by,
                    null,
                    fn () => $this->kind->put($channel, $id, $state),
                );
            }
        });
    }

    private static function written(mixed $value): int|string
    {
        return match (true) {
            is_bool($value) => $value ? 'yes' : 'no',
            is_int($value), is_string($value) => $value,
            default => '',
        };
    }
}
