<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Paths;

use JmesPath\AstRuntime;
use JmesPath\Parser;
use JmesPath\SyntaxErrorException;
use JsonException;
use Throwable;

/** Values of JSON (RFC 8259), found by JMESPath. */
final readonly class JsonPaths implements Paths
{
    /** Of nesting in an answer. */
    private const DEPTH = 100;

    private mixed $answer;

    /** @throws BadAnswer */
    public function __construct(string $body)
    {
        try {
            $this->answer = json_decode(
                (string) preg_replace('/^\xEF\xBB\xBF/', '', $body),
                true,
                self::DEPTH,
                JSON_THROW_ON_ERROR | JSON_BIGINT_AS_STRING | JSON_INVALID_UTF8_SUBSTITUTE,
            );
        } catch (JsonException $broken) {
            throw new BadAnswer($broken->getMessage());
        }
    }

    public function at(string $path): array
    {
        self::mustRead($path);
        try {
            $found = (new AstRuntime)($path, $this->answer);
        } catch (Throwable) {
            // A function that was given what it is not for: the path may fit the next answer.
            return [];
        }

        return $found === null ? [] : array_map(
            self::found(...),
            is_array($found) && array_is_list($found) ? array_slice($found, 0, self::MOST) : [$found],
        );
    }

    /** @throws BadPath */
    public static function mustRead(string $path): void
    {
        try {
            (new Parser)->parse($path);
        } catch (SyntaxErrorException $wrong) {
            throw self::bad($wrong);
        } catch (Throwable) {
            throw new BadPath('it cannot be read');
        }
    }

    private static function found(mixed $value): Found
    {
        return match (true) {
            $value === null => Found::nothing(),
            is_bool($value) => Found::yesNo($value),
            is_string($value) => Found::text($value),
            is_int($value) => Found::number((string) $value),
            // The shortest digits that are this number and no other, as they stood in the answer.
            is_float($value) => Found::number((string) json_encode($value)),
            default => Found::part(),
        };
    }

    private static function bad(SyntaxErrorException $wrong): BadPath
    {
        $lines = explode("\n", $wrong->getMessage());
        $at = preg_match('/at character (\d+)/', $lines[0], $found) === 1 ? (int) $found[1] : null;

        return new BadPath('it stops making sense', $at);
    }
}
