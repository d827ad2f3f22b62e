<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts;

use SilverParrot\Format\CannedAnswersFormat;
use SilverParrot\Format\CastFormat;
use SilverParrot\Format\ExpectationFormat;
use SilverParrot\Lookup\CannedAnswer;
use SilverParrot\Rehearsal\ChatFile;
use SilverParrot\Rehearsal\TimedLine;
use Symfony\Component\Yaml\Yaml;

/** A script as text, as an author would write it: lines and what is said stand in blocks of their own. */
final class ScriptYaml
{
    private const INLINE = 4;

    /** Nothing that shows nothing, and no blank at the beginning. */
    private const PLAIN = '/^[^\s\p{C}\p{Zl}\p{Zp}][^\p{C}\p{Zl}\p{Zp}]*$/Du';

    /**
     * @param  array<string, mixed>|null  $memory  as MemoryFormat reads it, and beside it $given by key id, in place
     *     of all that the script begins with in memory: what its cast has stands there already
     * @param  array<string, null|bool|int|string|array<string, mixed>>  $given
     */
    public static function of(ReadScript $script, ?array $memory = null, array $given = []): string
    {
        $situation = $script->situation;
        $start = array_filter([
            'at' => $script->at->iso(),
            'seed' => $script->seed,
            'no_flood_limit' => $script->isFloodLifted,
            'cast' => array_map(CastFormat::write(...), $script->cast),
            'channel' => $situation->channel,
            'answers' => array_map(
                static fn (array $answers): array => array_map(
                    static fn (CannedAnswer $one): array => CannedAnswersFormat::write($one),
                    $answers,
                ),
                $situation->answers,
            ),
            'memory' => $memory ?? [],
            'given' => ExpectationFormat::writeGiven($memory === null ? $situation->memory : $given),
            'told' => self::told($script),
        ], static fn (array|bool|string $one): bool => $one !== [] && $one !== false);
        $text = 'format: '.ReadScript::FORMAT."\nversion: 1\ntitle: ".self::scalar($script->title)."\n"
            .Yaml::dump(['start' => $start], self::INLINE, 2, Yaml::DUMP_EMPTY_ARRAY_AS_SEQUENCE)
            .($script->parts === [] ? "chat: []\n" : "chat:\n");
        foreach ($script->parts as $part) {
            $text .= self::part($part);
        }

        return $text.($script->expected === [] ? '' : "expect:\n".self::expected($script->expected, '  '));
    }

    /** @return list<array{id: list<string>, value: null|bool|int|string}> */
    private static function told(ReadScript $script): array
    {
        $told = [];
        foreach (['lookup' => $script->situation->readings, 'person' => $script->situation->people] as $of => $values) {
            foreach ($values as $name => $value) {
                $told[] = ['id' => explode("\x1F", "$of.$name"), 'value' => $value];
            }
        }

        return $told;
    }

    private static function part(ScriptPart $part): string
    {
        $what = $part->what;
        $time = ChatFile::time(intdiv($part->millis, 1000));
        if ($what instanceof TimedLine) {
            $who = $what->by.($what->isWhisper ? '(whispers)' : '');
            $text = '  - line: '.self::block("$time $who: {$what->text}", '      ')
                .($what->key === '' ? '' : '    key: '.self::scalar($what->key)."\n");
        } else {
            $value = match (true) {
                $what->count > 0 => $what->count,
                $what->text !== '' => $what->text,
                default => $what->person()->login ?? true,
            };
            $text = "  - at: $time\n    happens: ".Yaml::dump([$what->kind->value => $value], 0)."\n";
        }

        return $text.($part->expected === [] ? '' : "    expect:\n".self::expected($part->expected, '      '));
    }

    /** @param  list<Expects>  $expected */
    private static function expected(array $expected, string $indent): string
    {
        $text = '';
        foreach ($expected as $one) {
            $value = $one->write();
            $text .= "$indent- {$one::key()}: ".(is_string($value)
                ? self::block($value, "$indent    ")
                : Yaml::dump($value, 0)."\n");
        }

        return $text;
    }

    /** A text in a block of its own, where it can stand in one: otherwise in quotes. */
    private static function block(string $text, string $indent): string
    {
        $isPlain = preg_match(self::PLAIN, $text) === 1 && ! str_ends_with($text, ' ');

        return $isPlain
            ? "|-\n$indent$text\n"
            : self::scalar($text)."\n";
    }

    /** In quotes, which JSON's are in YAML too. */
    private static function scalar(string $text): string
    {
        return json_encode($text, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE
            | (preg_match('/[\p{C}\p{Zl}\p{Zp}]/u', $text) === 1 ? 0 : JSON_UNESCAPED_UNICODE));
    }
}
