<?php

declare(strict_types=1);

namespace App\Remember;

use App\Models\Channel;
use App\Storage\Assembler;
use App\Storage\Definitions\Named\NamedDefinition;
use App\Storage\MariaDbStore;
use App\Wording\Sentences;
use Illuminate\Database\Connection;
use SilverParrot\Checks\Check;
use SilverParrot\Checks\CheckContext;
use SilverParrot\Checks\Checks;
use SilverParrot\Checks\OwnResponseBroken;
use SilverParrot\Format\PackFormat;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\Reads;
use SilverParrot\Pack\Counter;
use SilverParrot\Pack\CounterSummary;
use SilverParrot\Pack\ExtraParts;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\FieldSummary;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\TextList;
use SilverParrot\Response\Evaluation\ListDraw;
use SilverParrot\Response\OwnResponseTexts;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Message;

/** What there is of each kind, with what it holds in a few words and which commands use it. */
final readonly class NamedOverview
{
    /** Texts that are responses without being a command's. */
    private const MOST_LOOKED_AT = 1_000;

    /** Of one kind that are shown. */
    private const MOST = 300;

    public function __construct(
        private UsesOfNames $uses,
        private Assembler $assembler,
        private Sentences $sentences,
        private LastChanges $changes,
        private Connection $connection,
    ) {
    }

    /**
     * @return array<string, list<array{id: string, name: string, holds: string, uses: list<string>,
     *     findings: list<string>}>> by the kind’s key
     */
    public function of(Channel $channel, string $find = ''): array
    {
        $uses = $this->uses->all($channel);
        $pack = $this->assembler->names($channel);
        $last = $this->changes->of($channel);
        $toCome = $this->toCome($channel, $pack);
        $findings = self::findings($channel, $pack);
        $overview = [];
        foreach (NamedDefinition::all() as $kind) {
            $items = $kind->key() === 'lists'
                ? $channel->listItems()->toBase()->selectRaw('list_id, COUNT(*) AS items')->groupBy('list_id')
                    ->pluck('items', 'list_id')->all()
                : [];
            $told = [];
            $rows = $kind->rows($channel)->orderBy('name_folded');
            $holding = $find === '' || $kind->key() !== 'lists' ? [] : $this->holding($channel, $find);
            $rows = $rows->limit($find === '' ? self::MOST : PackFormat::DEFINITIONS)->toBase()->get();
            foreach ($rows as $row) {
                /** @var object{id: int, stable_id: string, name: string} $row */
                $one = [
                    'id' => $row->stable_id,
                    'name' => "{$kind->prefix()}.{$row->name}",
                    'holds' => implode(', ', array_filter([
                        $this->holds($pack, (array) $row, $items[$row->id] ?? 0),
                        $kind->prefix() === 'list' ? $toCome[$row->stable_id] ?? '' : '',
                        $last[self::kept($kind).' '.Fold::caseless($row->stable_id)] ?? '',
                    ], static fn (string $part): bool => $part !== '')),
                    'findings' => $findings[$kind->key().' '.Fold::caseless($row->name)] ?? [],
                    'uses' => array_values(array_unique([
                        ...$uses["{$kind->prefix()}.".Fold::caseless($row->name)] ?? [],
                        // All goods are listed by one name.
                        ...$kind->prefix() === 'goods' ? $uses['caller.goods'] ?? [] : [],
                    ])),
                ];
                $words = Fold::caseless(implode("\n", [$one['name'], $one['holds'], ...$one['uses']]));
                if ($find === '' || str_contains($words, $find) || isset($holding[$row->id])) {
                    $told[] = $one;
                }
            }
            $overview[$kind->key()] = $told;
        }

        return $overview;
    }

    /** @return array<array-key, mixed> lists of which an item has it in it, by their numbers */
    private function holding(Channel $channel, string $find): array
    {
        return $channel
            ->listItems()
            ->whereRaw('LOWER(text) LIKE ?', ['%'.addcslashes($find, '%_\\').'%'])
            ->distinct()
            ->pluck('list_id', 'list_id')
            ->all();
    }

    /** @param  array<array-key, mixed>  $row */
    private function holds(Pack $pack, array $row, mixed $items): string
    {
        $text = static fn (string $column): string => is_string($row[$column] ?? null) ? $row[$column] : '';

        return match (true) {
            isset($row['scope']) => $this->counter($pack->counters[$text('name_folded')] ?? null),
            isset($row['yearly']) => $row['yearly'] == 1 ? 'comes again each year' : '',
            is_int($row['price'] ?? null) => $row['price'] === 0 ? 'not for sale' : "{$row['price']} each",
            isset($row['draw_order']) => ($items === 1 ? 'one item' : (is_int($items) ? $items : 0).' items').', '
                .$this->sentences->of(new Message("orders.{$text('draw_order')}")),
            isset($row['least_gift']) => $this->field($pack->fields[$text('name_folded')] ?? null),
            default => $text('text').($text('parts') === '' ? '' : '; parts: '.self::partsOf($text('parts'))),
        };
    }

    /** @param  string  $lines  as ExtraParts reads them */
    private static function partsOf(string $lines): string
    {
        $parts = ExtraParts::typed($lines);

        return is_array($parts) ? implode(', ', array_keys($parts)) : '';
    }

    private function counter(?Counter $counter): string
    {
        return $counter === null
            ? ''
            : implode(', ', array_map($this->sentences->of(...), CounterSummary::of($counter)));
    }

    private function field(?Field $field): string
    {
        return $field === null
            ? ''
            : implode(', ', array_map($this->sentences->of(...), FieldSummary::of($field)));
    }

    /** @return array<string, list<string>> what checks say of them, with the mend, by kind and folded name */
    private static function findings(Channel $channel, Pack $pack): array
    {
        $checks = CheckContext::before($pack, Assembler::environment($channel), []);
        $told = [];
        $all = Checks::acrossCommands();
        // Ten thousand items that are responses are looked through before publishing, not with each look at the page.
        if (count(OwnResponseTexts::of($pack)) > self::MOST_LOOKED_AT) {
            $all = array_filter($all, static fn (Check $one): bool => ! $one instanceof OwnResponseBroken);
        }
        foreach (Checks::look($checks, array_values($all)) as $finding) {
            [, $kind, $place] = explode('/', $finding->at) + [1 => '', 2 => ''];
            $named = match ($kind) {
                'facts' => $pack->facts,
                'lists' => $pack->lists,
                'counters' => $pack->counters,
                'fields' => $pack->fields,
                default => [],
            };
            $name = array_keys($named)[(int) $place] ?? '';
            $told["$kind $name"][] = "{$finding->sentence()} {$finding->mend()}";
        }

        return $told;
    }

    /** @return array<array-key, string> “9 to come”, by the id of a list that comes round */
    private function toCome(Channel $channel, Pack $pack): array
    {
        $rounds = array_filter(
            $pack->lists,
            static fn (TextList $list): bool => ! $list->isForEachViewer && ListDraw::toCome($list, null) !== null,
        );
        $keys = array_map(static fn (TextList $list): Key => Key::listPosition($list->id), $rounds);
        $memory = (new MariaDbStore($this->connection, $channel->id))->snapshot(Reads::of(...array_values($keys)));
        $told = [];
        foreach ($rounds as $name => $list) {
            $told[$list->id] = ListDraw::toCome($list, $memory->value($keys[$name])).' to come';
        }

        return $told;
    }

    /** What its changes are remembered as. */
    private static function kept(NamedDefinition $kind): string
    {
        return $kind->prefix() === 'caller' ? Kind::Field->value : $kind->prefix();
    }
}
