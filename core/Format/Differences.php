<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Fold;

/** What differs between two packs, by command and by field. */
final class Differences
{
    /** What a definition is told apart by. */
    private const NAMES = ['name' => true, 'word' => true, 'field' => true];

    /**
     * @param  Pack|null  $before  null where nothing was on the air yet
     * @return list<Difference>
     */
    public static function between(?Pack $before, Pack $after): array
    {
        $old = self::byId($before);
        $new = self::byId($after);
        $differences = [];
        foreach ($new as $key => $command) {
            $fields = isset($old[$key])
                ? self::fields(self::flat(CommandFormat::write($old[$key])), self::flat(CommandFormat::write($command)))
                : [];
            if (! isset($old[$key]) || $fields !== []) {
                $differences[] = new Difference(
                    $command->trigger,
                    isset($old[$key]) ? 'changed' : 'new',
                    $fields,
                    $command->id,
                );
            }
        }
        foreach (array_diff_key($old, $new) as $command) {
            $differences[] = new Difference($command->trigger, 'dropped', [], $command->id);
        }
        $rest = self::fields(self::rest($before), self::rest($after));
        if ($rest !== [] && $before !== null) {
            $differences[] = new Difference('', 'changed', $rest);
        }

        return $differences;
    }

    /**
     * @param  array<array-key, mixed>  $document
     * @return array<string, string> "responses 1 text" => what stands there
     */
    public static function flat(array $document, string $at = ''): array
    {
        $flat = [];
        foreach ($document as $key => $value) {
            $name = ltrim($at.' '.(is_int($key) ? $key + 1 : str_replace('_', ' ', $key)));
            // An id tells things apart and is nothing that an author changes.
            if ($name === 'expectations' || $key === 'id') {
                continue;
            }
            $flat += is_array($value) ? self::flat($value, $name) : [$name => match (true) {
                $value === true => 'yes',
                $value === false => 'no',
                default => is_scalar($value) ? (string) $value : '',
            }];
        }

        return $flat;
    }

    /**
     * @param  array<string, string>  $before
     * @param  array<string, string>  $after
     * @return array<string, array{string, string}> field => before, after
     */
    public static function fields(array $before, array $after): array
    {
        $fields = [];
        foreach (array_keys($before + $after) as $key) {
            if (($before[$key] ?? '') !== ($after[$key] ?? '')) {
                $fields[$key] = [$before[$key] ?? '', $after[$key] ?? ''];
            }
        }

        return $fields;
    }

    /** @return array<string, Command> */
    private static function byId(?Pack $pack): array
    {
        $commands = [];
        foreach ($pack->commands ?? [] as $command) {
            $commands[Fold::caseless($command->id)] = $command;
        }

        return $commands;
    }

    /** @return array<string, string> everything that is no command */
    private static function rest(?Pack $pack): array
    {
        if ($pack === null) {
            return [];
        }
        /** @var array<string, mixed> $document */
        $document = json_decode(PackFormat::write($pack), true);
        unset($document['commands'], $document['cast'], $document['scripts']);
        unset($document['format'], $document['version']);
        $named = [];
        foreach ($document as $kind => $definitions) {
            foreach (is_array($definitions) ? $definitions : [$definitions] as $key => $one) {
                $own = is_array($one) ? $one['name'] ?? ($one['word'] ?? ($one['field'] ?? null)) : null;
                $single = $kind === 'goods' ? $kind : rtrim((string) $kind, 's');
                $name = is_string($own) ? "$single $own" : "$kind $key";
                if (is_array($one) && is_string($one['picture'] ?? null)) {
                    // A picture is told apart, not read.
                    $one['picture'] = 'picture '.substr(hash('xxh32', $one['picture']), 0, 6);
                }
                $named += match (true) {
                    // An occasion has nothing but its name.
                    is_array($one) => self::flat(array_diff_key($one, self::NAMES), $name) ?: [$name => 'yes'],
                    default => [$name => is_scalar($one) ? (string) $one : ''],
                };
            }
        }

        return $named;
    }
}
