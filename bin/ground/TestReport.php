<?php

declare(strict_types=1);

namespace Ground;

/** The one summary at the end of a test run. */
final class TestReport
{
    /** @var list<string> */
    private array $lines = [];

    private int $passed = 0;

    private int $failed = 0;

    private int $skipped = 0;

    public function __construct(private readonly Terminal $terminal)
    {
    }

    /** @param  string|null  $junit the suite's own counts; without them the part counts as one test */
    public function add(string $part, int $exitCode, float $seconds, ?string $junit): void
    {
        [$tests, $failed, $skipped] = $junit === null ? [1, $exitCode === 0 ? 0 : 1, 0] : self::counts($junit);
        if ($exitCode !== 0 && $failed === 0) {
            // A crash, a warning or a risky test: red, though no single test says so.
            $failed = 1;
            $tests = max(1, $tests);
        }
        $this->passed += max(0, $tests - $failed - $skipped);
        $this->failed += $failed;
        $this->skipped += $skipped;
        $this->lines[] = sprintf(
            '%-13s %-6s %5d tests, %d failed, %d skipped, %.1f s',
            $part,
            $failed === 0 ? 'green' : 'RED',
            $tests,
            $failed,
            $skipped,
            $seconds,
        );
    }

    /** @return int the exit code */
    public function summary(): int
    {
        $this->terminal->say("\n== Summary");
        foreach ($this->lines as $line) {
            $this->terminal->say($line);
        }
        $this->terminal->say("{$this->passed} passed, {$this->failed} failed, {$this->skipped} skipped");

        return $this->failed === 0 ? 0 : 1;
    }

    /** @return array{int, int, int} tests, failed, skipped */
    private static function counts(string $junit): array
    {
        $xml = @simplexml_load_file($junit);
        $suite = $xml === false ? null : $xml->testsuite[0] ?? null;

        return $suite === null
            ? [0, 0, 0]
            : [(int) $suite['tests'], (int) $suite['failures'] + (int) $suite['errors'], (int) $suite['skipped']];
    }
}
