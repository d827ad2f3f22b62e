<?php

declare(strict_types=1);

namespace Tests\Architecture;

use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** Which class names which other, in its code; what only a comment mentions does not count. */
final class ImportGraph
{
    /** @param  array<string, list<string>>  $imports  by class, without the namespace of the whole */
    public function __construct(public readonly array $imports)
    {
    }

    public static function ofCore(): self
    {
        $sources = [];
        /** @var SplFileInfo $file */
        foreach (
            new RecursiveIteratorIterator(
                new RecursiveDirectoryIterator(dirname(__DIR__, 2).'/core', RecursiveDirectoryIterator::SKIP_DOTS),
            ) as $file
        ) {
            $source = (string) file_get_contents($file->getPathname());
            preg_match('/^namespace SilverParrot\\\\?([\w\\\\]*);/m', $source, $namespace);
            $sources[ltrim(($namespace[1] ?? '').'\\'.$file->getBasename('.php'), '\\')] = $source;
        }

        return new self(
            array_map(static fn (string $source): array => self::named($source, array_keys($sources)), $sources),
        );
    }

    /**
     * @param  list<string>  $classes
     * @return list<string> those of them that it names
     */
    private static function named(string $source, array $classes): array
    {
        preg_match('/^namespace SilverParrot\\\\?([\w\\\\]*);/m', $source, $namespace);
        preg_match_all('/^use SilverParrot\\\\([\w\\\\]+)(?: as (\w+))?;/m', $source, $uses, PREG_SET_ORDER);
        $short = array_combine(
            array_map(static fn (array $use): string => $use[2] ?? self::last($use[1]), $uses),
            array_column($uses, 1),
        );
        $names = [];
        $before = null;
        foreach (token_get_all((string) preg_replace('/^use .*;\n/m', '', $source)) as $token) {
            $isName =
                is_array($token)
                && in_array($token[0], [T_STRING, T_NAME_QUALIFIED], true)
                && ! in_array(
                    $before,
                    [
                        T_OBJECT_OPERATOR,
                        T_NULLSAFE_OBJECT_OPERATOR,
                        T_DOUBLE_COLON,
                        T_FUNCTION,
                        T_CONST,
                        T_CASE,
                        T_NAMESPACE,
                        T_CLASS,
                        T_ENUM,
                        T_INTERFACE,
                    ],
                    true,
                );
            if ($isName) {
                $parts = explode('\\', $token[1], 2);
                $names[] = isset($short[$parts[0]])
                    ? $short[$parts[0]].(isset($parts[1]) ? "\\$parts[1]" : '')
                    : ltrim(($namespace[1] ?? '')."\\$token[1]", '\\');
            }
            if (! is_array($token) || $token[0] !== T_WHITESPACE) {
                $before = is_array($token) ? $token[0] : $token;
            }
        }

        return array_values(array_intersect($classes, $names));
    }

    private static function last(string $class): string
    {
        return substr((string) strrchr("\\$class", '\\'), 1);
    }

    /**
     * By Tarjan’s algorithm for strongly connected components.
     *
     * @return list<list<string>> classes that lead to each other, two or more together
     */
    public function circles(): array
    {
        [$index, $low, $stack, $circles] = [[], [], [], []];
        $visit = function (string $class) use (&$visit, &$index, &$low, &$stack, &$circles): void {
            $index[$class] = $low[$class] = count($index);
            $stack[$class] = true;
            foreach ($this->imports[$class] ?? [] as $other) {
                if (! isset($index[$other])) {
                    $visit($other);
                    $low[$class] = min($low[$class], $low[$other]);
                } elseif (isset($stack[$other])) {
                    $low[$class] = min($low[$class], $index[$other]);
                }
            }
            if ($low[$class] === $index[$class]) {
                $circle = [];
                do {
                    $last = (string) array_key_last($stack);
                    unset($stack[$last]);
                    $circle[] = $last;
                } while ($last !== $class);
                if (count($circle) > 1) {
                    $circles[] = $circle;
                }
            }
        };
        foreach (array_keys($this->imports) as $class) {
            isset($index[$class]) || $visit($class);
        }

        return $circles;
    }
}
