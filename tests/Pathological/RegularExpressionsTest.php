<?php

declare(strict_types=1);

namespace Tests\Pathological;

use PhpParser\Node;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use PHPUnit\Framework\TestCase;

/**
 * No regular expression of ours can be made slow by the text it meets: judged by recheck (npm), which knows nothing of
 * us.
 */
final class RegularExpressionsTest extends TestCase
{
    public function test_every_regular_expression_is_safe(): void
    {
        $patterns = $this->patterns();
        self::assertGreaterThan(15, count($patterns));
        self::assertSame('', self::judged($patterns));
        self::assertStringContainsString('vulnerable', self::judged([['a control', '^(?:a{1,50}a{1,50}){1,50}$', '']]));
    }

    /**
     * @param  list<array{string, string, string}>  $patterns
     * @return string a line for each that is not safe
     */
    private static function judged(array $patterns): string
    {
        // Bounded by steps and not by time, and with the same luck each time, so that a busy machine judges as a quiet
        // one.
        $script =
            'const { checkSync } = require("recheck"); for (const [where, source, flags] of '
                .'JSON.parse(require("fs").readFileSync(0))) { const r = checkSync(source, flags, { timeout: 900000, '
                .'incubationTimeout: 400000, attackTimeout: 400000, randomSeed: 1 }); if (r.status !== "safe") '
                .'console.log(where, source, r.status, r.error?.kind ?? ""); }';
        $process = proc_open(
            ['node', '-e', $script],
            [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
            $pipes,
            dirname(__DIR__, 2),
            // Within the one thread: waiting for another has an end of its own, which a busy machine meets.
            ['RECHECK_SYNC_BACKEND' => 'pure'] + getenv(),
        );
        self::assertIsResource($process);
        fwrite($pipes[0], json_encode($patterns, JSON_THROW_ON_ERROR));
        fclose($pipes[0]);
        $found = (string) stream_get_contents($pipes[1]);
        $errors = (string) stream_get_contents($pipes[2]);
        proc_close($process);

        return $found.$errors;
    }

    /** @return list<array{string, string, string}> place, source in JavaScript's form, flags */
    private function patterns(): array
    {
        $patterns = [];
        $finder = new NodeFinder;
        foreach (
            [
                ...$this->sources('core'),
                ...$this->sources('app'),
                ...$this->sources('bin/ground'),
                ...$this->sources('harbour'),
            ] as $file
        ) {
            $tree = (new ParserFactory)->createForHostVersion()->parse((string) file_get_contents($file)) ?? [];
            foreach (
                $finder->find(
                    $tree,
                    static fn (Node $node): bool => $node instanceof Node\Scalar\String_
                        && preg_match('#^([/~]).+\1[a-zA-Z]*$#Ds', $node->value) === 1
                        && ! str_starts_with($node->value, '/usr'),
                ) as $string
            ) {
                self::assertInstanceOf(Node\Scalar\String_::class, $string);
                $end = (int) strrpos($string->value, $string->value[0]);
                $flags = substr($string->value, $end + 1);
                $patterns[] = [
                    basename($file).':'.$string->getStartLine(),
                    self::inJavaScript(substr($string->value, 1, $end - 1)),
                    str_contains($flags, 'u') ? 'u' : '',
                ];
            }
        }

        $once = [];
        foreach ([...$patterns, ...self::inScripts()] as $pattern) {
            $once[$pattern[1].$pattern[2]] = $pattern;
        }

        return array_values($once);
    }

    /** @return list<array{string, string, string}> those of the pages' scripts, found where a value can begin */
    private static function inScripts(): array
    {
        $patterns = [];
        foreach (glob(dirname(__DIR__, 2).'/resources/js/*.js') ?: [] as $file) {
            preg_match_all(
                '~(?<=[(,=:?&|!{;]|[(,=:?&|!{;] '
                    .'|^)/(?![/*])((?:[^/\\\\\n\[]|\\\\.|\[(?:[^\]\\\\\n]|\\\\.)*+\])++)/([a-z]*)~m',
                (string) file_get_contents($file),
                $found,
                PREG_SET_ORDER,
            );
            foreach ($found as [, $source, $flags]) {
                $patterns[] = [basename($file), $source, str_contains($flags, 'u') ? 'u' : ''];
            }
        }
        self::assertGreaterThan(12, count($patterns));

        return $patterns;
    }

    /**
     * What JavaScript has no form of is taken away; possessive quantifiers become greedy ones, which are never faster.
     */
    private static function inJavaScript(string $pattern): string
    {
        $pattern = (string) preg_replace('/\\\\x\{([0-9A-Fa-f]+)\}/', '\\u{$1}', $pattern);
        $pattern = (string) preg_replace('/\\\\p\{([A-Z][a-z]{2,})\}/', '\\p{Script=$1}', $pattern);
        $pattern = str_replace(['\\G', '\\R', '*+', '++', '?+'], ['^', '(?:\\r\\n|\\n|\\r)', '*', '+', '?'], $pattern);

        return (string) preg_replace('/\\\\([~"\'@#%&<>=!:,; ])/', '$1', $pattern);
    }

    /** @return list<string> */
    private function sources(string $folder): array
    {
        $files = [];
        /** @var \SplFileInfo $file */
        foreach (
            new \RecursiveIteratorIterator(
                new \RecursiveDirectoryIterator(dirname(__DIR__, 2).'/'.$folder, \FilesystemIterator::SKIP_DOTS),
            ) as $file
        ) {
            if ($file->getExtension() === 'php') {
                $files[] = $file->getPathname();
            }
        }

        return $files;
    }
}
