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
use Ground\TestReport;
use Ground\Trouble;
use Ground\Verb;

/** Everything that must hold, on a machine where nothing was installed by hand. */
final readonly class Test implements Verb
{
    public const SENTENCE = 'install what the tests need, then run form check, static analysis, architecture test and all suites';

    public const OPTIONS = [
        '--long' => 'the long forms too (more fuzzing, more rounds)',
        '--exact' => 'refuse Composer packages that differ from composer.pins',
        '--only=' => 'one part: form, analysis, or a suite (core, architecture, feature, ground, air, browser, pathological)',
    ];

    public const SUITES = ['core', 'architecture', 'pathological', 'feature', 'ground', 'air', 'browser'];

    public function __construct(private Paths $paths, private Terminal $terminal)
    {
    }

    public function run(Arguments $arguments): int
    {
        $only = $arguments->text('--only');
        $parts = ['form', 'analysis', ...self::SUITES];
        if ($only !== null && ! in_array($only, $parts, true)) {
            throw Trouble::unknownOption("--only=$only", array_map(static fn (string $part): string => "--only=$part", $parts));
        }
        $this->paths->make();
        (new Debian($this->paths, $this->terminal))->install(Debian::TO_TEST, withoutAsking: true);
        (new Composer($this->paths, $this->terminal))->install(withTools: true, exact: $arguments->has('--exact'));
        $this->node();
        $database = TestDatabase::start($this->paths);
        $report = new TestReport($this->terminal);
        try {
            foreach ($only === null ? $parts : [$only] as $part) {
                $this->part($part, $database, $arguments->has('--long'), $report);
            }
        } finally {
            $database->end();
        }

        return $report->summary();
    }

    /** The test oracles in JavaScript, by their lock file. */
    private function node(): void
    {
        $project = $this->paths->project;
        if (is_file("$project/node_modules/.package-lock.json") && filemtime("$project/node_modules/.package-lock.json") >= filemtime("$project/package-lock.json")) {
            return;
        }
        $this->terminal->say('Installing the npm packages of the lock file …');
        $log = $this->paths->log('packages.log');
        [$code] = Shell::run(['npm', 'ci', '--no-audit', '--no-fund', '--ignore-scripts'], $project, log: $log);
        if ($code !== 0) {
            throw Trouble::installFailed('npm packages', $log);
        }
    }

    private function part(string $part, TestDatabase $database, bool $long, TestReport $report): void
    {
        $vendor = $this->paths->project.'/vendor/bin';
        $php = [PHP_BINARY, '-d', 'memory_limit=1G', '-d', 'pcov.enabled=0'];
        $junit = sys_get_temp_dir().'/parrot-junit-'.getmypid().".$part.xml";
        $command = match ($part) {
            'form' => [...$php, "$vendor/pint", '--test', '--no-interaction'],
            'analysis' => [...$php, "$vendor/phpstan", 'analyse', '--no-progress', '--no-interaction', '--memory-limit=2G'],
            default => [...$php, "$vendor/phpunit", '--testsuite', $part, '--log-junit', $junit, '--colors=never'],
        };
        $this->terminal->say("\n== $part");
        $start = microtime(true);
        [$code] = Shell::run($command, $this->paths->project, $database->environment() + ['PARROT_LONG' => $long ? '1' : ''], heard: $this->terminal->say(...));
        $report->add($part, $code, microtime(true) - $start, is_file($junit) ? $junit : null);
        @unlink($junit);
    }
}
