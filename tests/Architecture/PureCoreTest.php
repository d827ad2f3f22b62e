<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPUnit\Framework\TestCase;

/** The core gives the same answer to the same question, always: no clock, chance, files, network, machine settings. */
final class PureCoreTest extends TestCase
{
    public function test_no_source_of_the_core_asks_the_machine(): void
    {
        $looked = 0;
        foreach ($this->sources(dirname(__DIR__, 2).'/core') as $file) {
            self::assertSame([], Impurities::in((string) file_get_contents($file)), $file);
            $looked++;
        }
        self::assertGreaterThan(100, $looked);
    }

    public function test_the_fixture_is_caught_in_every_point(): void
    {
        $found = Impurities::in((string) file_get_contents(__DIR__.'/Fixture/Impure.php'));
        self::assertSame(
            [
                'line 12: a static property',
                'line 16: a static variable',
                'line 17: new DateTimeImmutable without a fixed moment',
                'line 18: new DateTimeImmutable without a fixed moment',
                'line 19: new NumberFormatter without a locale',
                'line 20: Stmt_Echo',
                'line 20: time()',
                'line 20: rand()',
                'line 22: getenv()',
                'line 22: $_SERVER',
            ],
            $found,
        );
    }

    public function test_the_analysis_refuses_a_core_class_that_uses_the_framework(): void
    {
        exec(
            implode(
                ' ',
                array_map(escapeshellarg(...), [
                    PHP_BINARY,
                    '-d',
                    'memory_limit=1G',
                    dirname(__DIR__, 2).'/vendor/bin/phpstan',
                    'analyse',
                    '--no-progress',
                    '--error-format=raw',
                    '-c',
                    __DIR__.'/fixture.neon',
                ]),
            ).' 2>/dev/null',
            $lines,
            $code,
        );
        self::assertSame(1, $code, implode("\n", $lines));
        self::assertStringContainsString('coreStandsAlone', implode("\n", $lines));
        self::assertStringContainsString('Illuminate\Support\Str', implode("\n", $lines));
    }

    /** @return list<string> */
    private function sources(string $folder): array
    {
        $files = [];
        $inside = new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS);
        /** @var \SplFileInfo $file */
        foreach (new \RecursiveIteratorIterator($inside) as $file) {
            if ($file->getExtension() === 'php') {
                $files[] = $file->getPathname();
            }
        }

        return $files;
    }
}
