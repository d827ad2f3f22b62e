<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Storage\Assembler;
use Illuminate\Database\Connection;
use Illuminate\Database\QueryException;
use SilverParrot\Checks\CheckContext;
use SilverParrot\Checks\CheckEnvironment;
use SilverParrot\Checks\Checks;
use SilverParrot\Checks\NotLookedAt;
use SilverParrot\Format\CommandFormat;
use SilverParrot\Format\PackFormat;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Emote;
use SilverParrot\Pack\Ladder;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Span;

/**
 * What checks found in each command. It is looked at once and kept for as long as neither the command, nor a definition
 * that it names, nor what is around all commands changes; a saved command costs one look, and not one look for each of
 * its pack.
 */
final readonly class KeptFindings
{
    /** Raised with the checks: what an older form found is not believed. */
    private const FORM = 2;

    /** Commands that are looked at in one go; whoever asks again goes on where that ended. */
    public const AT_ONCE = 400;

    /** ER_NO_REFERENCED_ROW_2 of MariaDB. */
    private const NO_SUCH_COMMAND = 1452;

    public function __construct(private Connection $connection, private ResponseCache $prepared)
    {
    }

    /**
     * @param  Pack  $names  with all definitions, whole
     * @param  array<int, Command>  $commands  by the row's number
     * @param  int|null  $most  commands that may be looked at now; null for as many as there are
     */
    public function of(Channel $channel, Pack $names, array $commands, ?int $most = self::AT_ONCE): FoundSoFar
    {
        $around = Assembler::environment($channel);
        $definitions = self::definitions($names);
        $aroundKey = self::key([
            self::FORM,
            array_keys($definitions),
            array_map(static fn (Emote $emote): array => [$emote->word, $emote->levels->inWords()], $names->emotes),
            array_map(static fn (Ladder $ladder): array => [$ladder->field, $ladder->ranks], $names->ladders),
            [$names->channel->language, $names->channel->zone->getName()],
            self::around($around),
        ]);
        $kept = $this->kept($channel->id, array_keys($commands));
        $found = [];
        $used = [];
        $new = [];
        $left = 0;
        foreach ($commands as $number => $command) {
            $commandKey = self::key(array_diff_key(CommandFormat::write($command), ['expectations' => true]));
            $row = $kept[$number] ?? null;
            if (
                $row === null
                || $row['command_key'] !== $commandKey
                || $row['around_key'] !== $aroundKey
                || $row['named_key'] !== self::key(array_intersect_key($definitions, array_flip($row['named'])))
            ) {
                if ($most !== null && count($new) >= $most) {
                    $left++;

                    continue;
                }
                $row = $this->look($command, $names, $around) + [
                    'command_key' => $commandKey,
                    'around_key' => $aroundKey,
                ];
                $row['named_key'] = self::key(array_intersect_key($definitions, array_flip($row['named'])));
                $new[$number] = $row;
            }
            $found[$number] = $row['findings'];
            $used += array_fill_keys($row['named'], true);
        }
        $this->keep($channel->id, $new);

        return new FoundSoFar($found, $used, $left);
    }

    /** @return array{named: list<string>, findings: list<Finding>} */
    private function look(Command $command, Pack $names, CheckEnvironment $around): array
    {
        $looked = CheckContext::at($names->withCommands([$command]), $around, $this->prepared);

        return [
            'named' => array_map(strval(...), array_keys($looked->named)),
            'findings' => Checks::alone(Checks::look($looked, Checks::ofEach())),
        ];
    }

    /**
     * @param  list<int>  $numbers
     * @return array<int, array{command_key: string, around_key: string, named_key: string, named: list<string>,
     *     findings: list<Finding>}> by the command's number
     */
    private function kept(int $channel, array $numbers): array
    {
        $kept = [];
        foreach (array_chunk($numbers, 1_000) as $some) {
            foreach (
                $this->connection
                    ->table('command_findings')
                    ->where('channel_id', $channel)
                    ->whereIn('command_id', $some)
                    ->get() as $row
            ) {
                /**
                 * @var object{command_id: int, command_key: string, around_key: string, named_key: string,
                 *     named: string, findings: string} $row
                 */
                /** @var list<string> $named */
                $named = json_decode($row->named, true);
                $findings = self::read($row->findings);
                if ($findings !== null) {
                    $kept[$row->command_id] = [
                        'command_key' => $row->command_key,
                        'around_key' => $row->around_key,
                        'named_key' => $row->named_key,
                        'named' => $named,
                        'findings' => $findings,
                    ];
                }
            }
        }

        return $kept;
    }

    /**
     * @param  array<int, array{command_key: string, around_key: string, named_key: string, named: list<string>,
     *     findings: list<Finding>}>  $rows  by the command's number
     */
    private function keep(int $channel, array $rows): void
    {
        // A check that broke off is asked again the next time.
        $rows = array_filter(
            $rows,
            static fn (array $row): bool => array_filter(
                $row['findings'],
                static fn (Finding $finding): bool => $finding->kind instanceof NotLookedAt,
            ) === [],
        );
        foreach (array_chunk($rows, 200, true) as $some) {
            try {
                $this->connection->table('command_findings')->upsert(
                    array_map(
                        static fn (array $row, int $number): array => [
                            'channel_id' => $channel,
                            'command_id' => $number,
                            'command_key' => $row['command_key'],
                            'around_key' => $row['around_key'],
                            'named_key' => $row['named_key'],
                            'named' => self::json($row['named']),
                            'findings' => self::json(array_map(self::write(...), $row['findings'])),
                        ],
                        $some,
                        array_keys($some),
                    ),
                    ['command_id'],
                    ['command_key', 'around_key', 'named_key', 'named', 'findings'],
                );
            } catch (QueryException $exception) {
                // One of them was dropped meanwhile: the others are looked at again the next time.
                if (($exception->errorInfo[1] ?? 0) !== self::NO_SUCH_COMMAND) {
                    throw $exception;
                }
            }
        }
    }

    /** @return array{string, string, int|null, int|null, array<string, string>, string|null} */
    private static function write(Finding $finding): array
    {
        return [
            $finding->kind->code(),
            $finding->at,
            $finding->span?->from,
            $finding->span?->to,
            $finding->data,
            $finding->replacement,
        ];
    }

    /** @return list<Finding>|null null where one of them is of a kind that is gone */
    private static function read(string $json): ?array
    {
        $findings = [];
        /** @var list<array{string, string, int|null, int|null, array<string, string>, string|null}> $kept */
        $kept = json_decode($json, true);
        foreach ($kept as [$code, $at, $from, $to, $data, $replacement]) {
            $kind = Checks::kind($code);
            if ($kind === null) {
                return null;
            }
            $findings[] = new Finding(
                $kind,
                $from === null || $to === null ? null : new Span($from, $to),
                $at,
                $data,
                $replacement,
            );
        }

        return $findings;
    }

    /** @return array<string, mixed> each definition as a document keeps it, by how a response names it */
    private static function definitions(Pack $names): array
    {
        /** @var array<string, mixed> $document */
        $document = json_decode(PackFormat::write($names->withCommands([])), true);
        $definitions = [];
        foreach (
            [
                'facts' => 'fact',
                'lists' => 'list',
                'counters' => 'counter',
                'occasions' => 'occasion',
                'fields' => 'caller',
                'goods' => 'goods',
            ] as $kind => $prefix
        ) {
            foreach (is_array($document[$kind] ?? null) ? $document[$kind] : [] as $one) {
                if (is_array($one) && is_string($one['name'] ?? null)) {
                    $name = Fold::caseless($one['name']);
                    $definitions["$prefix.$name"] = $one;
                    if ($prefix === 'caller') {
                        $definitions["target.$name"] = $definitions["top.$name"] = $one;
                    }
                }
            }
        }
        $points = $names->field('points')->name ?? '';
        foreach (['caller', 'target', 'top'] as $prefix) {
            $definitions["$prefix.points"] ??= $definitions['caller.'.Fold::caseless($points)] ?? null;
        }

        return $definitions;
    }

    /** @return list<mixed> */
    private static function around(CheckEnvironment $around): array
    {
        return [
            intdiv($around->now->millis ?? 0, 86_400_000),
            get_object_vars($around->profile),
            $around->categories,
            $around->addresses,
        ];
    }

    private static function key(mixed $of): string
    {
        return hash('xxh128', self::json($of));
    }

    private static function json(mixed $of): string
    {
        return json_encode(
            $of,
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE,
        );
    }
}
