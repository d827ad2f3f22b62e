<?php

declare(strict_types=1);

namespace Ground\Verbs;

use Ground\Arguments;
use Ground\Packages\Composer;
use Ground\Packages\Debian;
use Ground\Paths;
use Ground\Shell;
use Ground\Terminal;
use Ground\TestDatabase;
use Ground\TestLanes;
use Ground\TestReport;
use Ground\Trouble;
use Ground\Verb;

/** Everything that must hold, on a machine where nothing was installed by hand. */
final readonly class Test implements Verb
{
    public const SENTENCE = 'install what the tests need, then run form check, static analysis, architecture test and '
        .'all suites';

    public const OPTIONS = [
        '--long' => 'the long forms too (more fuzzing, more rounds, all faults and not an eighth)',
        '--exact' => 'refuse Composer packages that differ from composer.pins',
        '--only=' => 'one part: form, analysis, a suite (core, architecture, feature, ground, air, kills, browser, '
            .'views, walks, pathological), or faults',
    ];

    public const SUITES = [
        'core',
        'architecture',
        'pathological',
        'feature',
        'ground',
        'air',
        'kills',
        'browser',
        'views',
        'walks',
    ];

    /**
     * What runs side by side: the first waits for processes nearly all of its time, the others reckon; each lane takes
     * about as long as the others.
     */
    private const LANES = [
        ['kills', 'air', 'ground', 'views'],
        ['form', 'analysis', 'core', 'architecture', 'pathological', 'faults'],
        ['feature', 'walks'],
        ['browser'],
    ];

    public function __construct(private Paths $paths, private Terminal $terminal)
    {
    }

    public function run(Arguments $arguments): int
    {
        $only = $arguments->text('--only');
        $parts = ['form', 'analysis', ...self::SUITES, 'faults'];
        if ($only !== null && ! in_array($only, $parts, true)) {
            throw Trouble::unknownOption(
                "--only=$only",
                array_map(static fn (string $part): string => "--only=$part", $parts),
            );
        }
        $this->paths->make();
        (new Debian($this->paths, $this->terminal))->install(Debian::TO_TEST, withoutAsking: true);
        (new Composer($this->paths, $this->terminal))->install(withTools: true, exact: $arguments->has('--exact'));
        $this->node();
        $database = TestDatabase::start($this->paths);
        $report = new TestReport($this->terminal);
        try {
            $ended = static function (string $part, int $code, float $seconds) use ($report): void {
                $report->add($part, $code, $seconds, is_file(self::counts($part)) ? self::counts($part) : null);
                @unlink(self::counts($part));
            };
            $environment = $database->environment() + ['PARROT_LONG' => $arguments->has('--long') ? '1' : ''];
            (new TestLanes(
                $this->paths->project,
                $this->terminal,
                fn (string $part): array => $this->command($part, $arguments->has('--long')),
                $environment,
                $ended,
            ))->run($only === null ? self::LANES : [[$only]]);
        } finally {
            $database->end();
        }

        return $report->summary();
    }

    /** The test oracles in JavaScript, by their lock file. */
    private function node(): void
    {
        $project = $this->paths->project;
        if (
            is_file("$project/node_modules/.package-lock.json")
            && filemtime("$project/node_modules/.package-lock.json") >= filemtime("$project/package-lock.json")
        ) {
            return;
        }
        $this->terminal->say('Installing the npm packages of the lock file …');
        $log = $this->paths->log('packages.log');
        [$code] = Shell::run(['npm', 'ci', '--no-audit', '--no-fund', '--ignore-scripts'], $project, log: $log);
        if ($code !== 0) {
            throw Trouble::installFailed('npm packages', $log);
        }
    }

    /** @return list<string> */
    private function command(string $part, bool $isLong): array
    {
        $vendor = $this->paths->project.'/vendor/bin';
        $php = [PHP_BINARY, '-d', 'memory_limit=1G', '-d', 'pcov.enabled=0'];

        return match ($part) {
            'form' => [...$php, "$vendor/pint", '--test', '--no-interaction'],
            // Lines made wrong one by one: each must be noticed.
            'faults' => [
                ...$php,
                $this->paths->project.'/tests/Faults/run.php',
                '--at-once=1',
                ...$isLong ? [] : ['--eighth='.gmdate('Y-m-d')],
            ],
            'analysis' => [
                ...$php,
                "$vendor/phpstan",
                'analyse',
                '--no-progress',
                '--no-interaction',
                '--memory-limit=2G',
            ],
            default => [
                ...$php,
                "$vendor/phpunit",
                '--testsuite',
                $part,
                '--log-junit',
                self::counts($part),
                '--colors=never',
                '--do-not-cache-result',
            ],
        };
    }

    /** Where a suite writes how many tests it had. */
    private static function counts(string $part): string
    {
        return sys_get_temp_dir().'/parrot-junit-'.getmypid().".$part.xml";
    }
}
