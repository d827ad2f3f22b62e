<?php

declare(strict_types=1);

namespace Tests\Feature\Console;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\TestCase;

/** The command line as a person uses it: a process of its own, with no database anywhere. */
final class CommandLineTest extends TestCase
{
    private const PACK = '--pack=docs/examples/lantern-cove.pack.json';

    private const MEMORY = '--memory=docs/examples/lantern-cove.memory.json';

    public function test_a_response_alone_works(): void
    {
        self::assertSame(
            [0, "Ahoy shore crew! Tamsin saved you a seat.\n"],
            $this->artisan(
                'parrot:say',
                '--response=Ahoy [target or "shore crew"]! [caller] saved you a seat.',
                '--caller=Tamsin',
            ),
        );
    }

    public function test_look_ups_are_taken_out_of_answers_and_addresses_are_judged(): void
    {
        $pack = self::written('pack', [
            'format' => 'silver-parrot-pack',
            'version' => 2,
            'commands' => [['trigger' => '!tide', 'responses' => [['text' => 'At [lookup.tide.high port=words].']]]],
            'lookups' => [[
                'name' => 'tide',
                'address' => 'https://tides.cove.org/{port}',
                'parameters' => [['name' => 'port', 'one_of' => ['porth', 'tregarn'], 'default' => 'porth']],
                'readings' => [
                    ['name' => 'high', 'path' => 'tides[0].at'],
                    ['name' => 'metres', 'path' => 'tides[0].metres', 'type' => 'number'],
                    ['name' => 'next', 'path' => 'tides[1].at'],
                ],
            ]],
        ]);
        $whole = ['tides' => [['at' => '14:20', 'metres' => 4.25], ['at' => '20:31']]];
        $answer = self::written('answer', $whole);
        $short = self::written('short', ['tides' => [['at' => '14:20', 'metres' => 'four']]]);
        [$code, $printed] = $this->artisan('parrot:lookup', $pack, 'Tide', 'port=Porth', "--from=$answer", '--json');
        self::assertSame(0, $code, $printed);
        self::assertSame([
            'address' => 'https://tides.cove.org/porth',
            'allowed' => true,
            'readings' => [
                'high' => ['type' => 'text', 'value' => '14:20'],
                'metres' => ['type' => 'number', 'value' => 4.25],
                'next' => ['type' => 'text', 'value' => '20:31'],
            ],
        ], json_decode($printed, true));
        [$code, $printed] = $this->artisan('parrot:lookup', $pack, 'tide', "--from=$short");
        self::assertSame(
            [1, "high: \"14:20\"\nmetres: nothing: the answer’s metres is not what it should be\n"
                ."next: nothing: the answer has no next\n"],
            [$code, $printed],
        );
        foreach (
            [
                ['moon', "--from=$answer"],
                ['tide', 'sea=x', "--from=$answer"],
                ['tide', 'port=x', "--from=$answer"],
                ['tide', "--from=$answer.gone"],
                ['tide'],
            ] as $wrong
        ) {
            self::assertSame(2, $this->artisan('parrot:lookup', $pack, ...$wrong)[0], implode(' ', $wrong));
        }

        $readings = self::written('readings', ['tide' => [
            ['args' => ['port' => 'porth'], 'status' => 200, 'body' => json_encode($whole)],
            ['trouble' => 'timeout'],
        ]]);
        $this->assertMatchesSchema('readings', (string) file_get_contents($readings));
        $say = fn (string $line): array => $this->artisan(
            'parrot:say',
            "--pack=$pack",
            "--readings=$readings",
            "--line=$line",
        );
        self::assertStringStartsWith("At 14:20.\n", $say('!tide')[1]);
        self::assertStringContainsString('was not answered in time', $say('!tide tregarn')[1]);
        self::assertStringContainsString('is not a port', $say('!tide sea')[1]);

        [$code, $printed] = $this->artisan(
            'parrot:address',
            'https://tides.cove.org/porth',
            'http://0x7f.1/',
            'https://named.org/',
            '--resolves=named.org=8.8.8.8,10.0.0.1',
            '--json',
        );
        self::assertSame([1, [true, false, false], ['allowed', 'near', 'leads-near']], [
            $code,
            array_column((array) json_decode($printed, true), 'allowed'),
            array_column((array) json_decode($printed, true), 'code'),
        ]);
    }

    public function test_say_reports_by_its_schema(): void
    {
        foreach (
            [
                ['--response=[caler] [words]'],
                ['--line=!splinter', self::PACK, self::MEMORY, '--caller=bram'],
                ['--line=!splinter', self::PACK, '--caller=tamsin'],
                ['--line=!give @pia 999', self::PACK],
                ['--line=nothing', self::PACK],
            ] as $arguments
        ) {
            [, $printed] = $this->artisan('parrot:say', '--json', '--now=2026-11-25T09:00:00Z', ...$arguments);
            $this->assertMatchesSchema('say', $printed);
        }
        [$code, $printed] = $this->artisan(
            'parrot:say',
            '--json',
            '--line=!splinter',
            self::PACK,
            self::MEMORY,
            '--caller=bram',
            '--now=2026-11-25T09:00:00Z',
        );
        self::assertSame(0, $code);
        self::assertSame(
            [
                'said' => ['Splinters while Planking: 10 (12 in all). Not bad.'],
                'closed' => null,
                'failed' => null,
                'changes' => [['what' => 'counter.splinters', 'scope' => 'Planking', 'from' => '9', 'to' => '10']],
                'matched' => ['kind' => 'trigger', 'text' => '!splinter'],
                'findings' => [],
            ],
            json_decode($printed, true),
        );
        $matched = fn (string $line): mixed => json_decode(
            $this->artisan('parrot:say', '--json', "--line=$line", self::PACK)[1],
            true,
        )['matched'] ?? null;
        self::assertSame(
            ['kind' => 'phrase', 'text' => 'where .. (shed/workshop)'],
            $matched('so where is that shed?'),
        );
        self::assertSame(['kind' => 'phrase', 'text' => 'which harbour'], $matched('Which harbor?'));
        self::assertNull($matched('the shed is where?'));
    }

    public function test_checks_look_at_a_response_that_stands_alone(): void
    {
        $codes = fn (string $response): array => array_column(
            json_decode($this->artisan('parrot:say', '--json', "--response=$response", self::PACK)[1], true)[
                'findings'
            ],
            'code',
        );
        self::assertSame(['count-as-condition'], $codes('[when counter.planks]Some.[end]'));
        self::assertSame(['name-never-used'], $codes('[roll 6 as luck]'));
        self::assertSame([], $codes('[caller]'), 'that it has no cooldown and no group is nothing to say of a text');
    }

    public function test_silence_is_exit_1_and_nonsense_is_exit_2(): void
    {
        self::assertSame(1, $this->artisan('parrot:say', '--line=!nothing', self::PACK)[0]);
        self::assertSame(1, $this->artisan('parrot:say', '--response=[1 / 0]')[0]);
        foreach (
            [
                [],
                ['--response=a', '--line=b'],
                ['--respons=a'],
                ['--response=a', '--now=noon'],
                ['--response=a', '--profile=gull'],
                ['--response=a', '--levels=captain'],
                ['--response=a', '--pack=nowhere.json'],
            ] as $arguments
        ) {
            [$code, $printed] = $this->artisan('parrot:say', ...$arguments);
            self::assertSame(2, $code, implode(' ', $arguments));
            self::assertStringNotContainsString('#0', $printed);
            self::assertLessThan(3, substr_count(trim($printed), "\n"), $printed);
        }
    }

    public function test_the_same_seed_says_the_same_and_another_another(): void
    {
        $roll = fn (string $seed): string => $this->artisan(
            'parrot:say',
            '--response=[roll 1000000]',
            "--seed=$seed",
        )[1];
        self::assertSame($roll('a'), $roll('a'));
        self::assertNotSame($roll('a'), $roll('b'));
    }

    public function test_nothing_that_is_said_is_taken_for_terminal_markup(): void
    {
        $told = $this->artisan('parrot:say', '--response=<info>a</info> <fg=red>b')[1];
        self::assertStringStartsWith("<info>a</info> <fg=red>b\n", $told);
        self::assertStringContainsString('“<info>” is said as it stands', $told, 'nor what is found in it');
    }

    public function test_check_exits_1_on_errors_and_points_to_them(): void
    {
        self::assertSame(
            [0, "Nothing is wrong with it.\n"],
            $this->artisan('parrot:check', 'docs/examples/lantern-cove.pack.json'),
        );
        $file = tempnam(sys_get_temp_dir(), 'pack');
        file_put_contents(
            (string) $file,
            '{"format":"silver-parrot-pack","version":1,'
                .'"commands":[{"trigger":"!a","responses":[{"text":"[caler]"}],"colour":1}]}',
        );
        [$code, $printed] = $this->artisan('parrot:check', (string) $file, '--json');
        self::assertSame(1, $code);
        /** @var array{findings: list<array{code: string, at: string, from: string|null}>} $report */
        $report = json_decode($printed, true);
        self::assertSame(
            [['unknown-key', '/commands/0/colour', null], ['unknown-name', '/commands/0/responses/0/text', '1']],
            array_map(static fn (array $one): array => [$one['code'], $one['at'], $one['from']], $report['findings']),
        );
        unlink((string) $file);
    }

    public function test_rehearse_runs_scripts_and_says_which_do_not_hold(): void
    {
        $pack = 'docs/examples/lantern-cove.pack.json';
        $report = (string) tempnam(sys_get_temp_dir(), 'report');
        unlink($report);
        [$code, $printed] = $this->artisan(
            'parrot:rehearse',
            $pack,
            '--script=docs/examples/tide.script.yaml',
            "--report=$report.xml",
        );
        self::assertSame([0, "holds  The tide at two ports\n"], [$code, $printed]);
        $this->artisan('parrot:rehearse', $pack, '--script=docs/examples/tide.script.yaml', "--report=$report.html");
        self::assertStringContainsString('8 of 8 hold.', (string) file_get_contents("$report.html"));
        unlink("$report.html");
        $suites = simplexml_load_string((string) file_get_contents("$report.xml"));
        self::assertNotFalse($suites);
        self::assertSame(['8', '0'], [(string) $suites->testsuite['tests'], (string) $suites->testsuite['failures']]);
        $broken = strtr((string) file_get_contents('docs/examples/tide.script.yaml'), ['share: 60' => 'share: 10']);
        file_put_contents("$report.yaml", $broken);
        [$code, $printed] = $this->artisan('parrot:rehearse', $pack, "--script=$report.yaml", '--json');
        self::assertSame(1, $code);
        $this->assertMatchesSchema('rehearsal', $printed);
        self::assertStringContainsString('and at most 10 % are expected', $printed);
        [$code, $printed] = $this->artisan('parrot:rehearse', $pack, '--script=README.md');
        self::assertSame(2, $code);
        array_map(unlink(...), ["$report.xml", "$report.yaml"]);
    }

    public function test_rehearse_runs_crowds_alike_on_one_core_and_on_two(): void
    {
        $crowd = ['parrot:rehearse', 'docs/examples/lantern-cove.pack.json', '--crowd=quiet', '--lines=60', '--json'];
        [$code, $printed] = $this->artisan(...[...$crowd, '--seeds=1-4']);
        self::assertSame(0, $code);
        $this->assertMatchesSchema('rehearsal', $printed);
        $runs = json_decode($printed, true);
        self::assertIsArray($runs);
        self::assertSame(['1', '2', '3', '4'], array_column($runs['runs'], 'seed'));
        foreach ($runs['runs'] as $run) {
            $alone = json_decode($this->artisan(...[...$crowd, "--seed={$run['seed']}"])[1], true);
            self::assertIsArray($alone);
            unset($alone['milliseconds'], $alone['expectations'], $run['seed']);
            self::assertSame($alone, $run);
        }
    }

    public function test_rehearse_refuses_what_makes_no_sense(): void
    {
        $pack = 'docs/examples/lantern-cove.pack.json';
        foreach (
            [
                [[], 'Say what is to be heard'],
                [['docs/examples/evening.chat.txt', '--crowd=quiet'], 'one of them'],
                [['--crowd=wedding'], 'There is no crowd “wedding”'],
                [['--crowd=quiet', '--people=0'], '--people is a whole number from 1 to 5000'],
                [['--crowd=quiet', '--lines=9999999'], '--lines is a whole number'],
                [['--crowd=quiet', '--seeds=9-1'], '--seeds is a range'],
                [['--crowd=quiet', '--seeds=1-100000'], '--seeds is a range'],
                [['--crowd=quiet', '--report=x.txt'], 'ends in none of'],
                [['--crowd=quiet', '--report=x.xml'], 'tells of scripts'],
                [['--crowd=docs/examples/lantern-cove.memory.json'], 'wrong-format'],
            ] as [$arguments, $told]
        ) {
            [$code, $printed] = $this->artisan('parrot:rehearse', $pack, ...$arguments);
            self::assertSame(2, $code, implode(' ', $arguments));
            self::assertStringContainsString($told, $printed);
        }
    }

    public function test_rehearse_reports_by_its_schema_and_refuses_a_broken_chat(): void
    {
        [$code, $printed] = $this->artisan(
            'parrot:rehearse',
            'docs/examples/lantern-cove.pack.json',
            'docs/examples/evening.chat.txt',
            self::MEMORY,
            '--now=2026-11-25T20:00:00Z',
            '--json',
        );
        self::assertSame(0, $code);
        $this->assertMatchesSchema('rehearsal', $printed);
        self::assertStringContainsString('"lines": 10', $printed);
        [$code, $printed] = $this->artisan('parrot:rehearse', 'docs/examples/lantern-cove.pack.json', 'README.md');
        self::assertSame(2, $code);
        self::assertStringContainsString('is neither a chat line', $printed);
    }

    public function test_the_memory_example_is_as_its_schema_says(): void
    {
        $this->assertMatchesSchema(
            'memory',
            (string) file_get_contents($this->root().'/docs/examples/lantern-cove.memory.json'),
        );
    }

    private function assertMatchesSchema(string $name, string $json): void
    {
        $schema = json_decode((string) file_get_contents($this->root()."/docs/formats/$name.schema.json"));
        self::assertIsObject($schema);
        $result = (new Validator)->validate(json_decode($json), $schema);
        self::assertTrue($result->isValid(), $json.json_encode($result->error()?->args()));
    }

    /** @return array{int, string} */
    private function artisan(string ...$arguments): array
    {
        $command = [PHP_BINARY, 'artisan', '--no-ansi', ...array_values($arguments)];
        $environment = ['DB_HOST' => '127.0.0.1', 'DB_PORT' => '1', 'LOG_CHANNEL' => 'null'] + getenv();
        $process = proc_open(
            $command,
            [['file', '/dev/null', 'r'], ['pipe', 'w'], ['redirect', 1]],
            $pipes,
            $this->root(),
            $environment,
        );
        self::assertIsResource($process);
        $printed = (string) stream_get_contents($pipes[1]);

        return [proc_close($process), $printed];
    }

    private function root(): string
    {
        return dirname(__DIR__, 3);
    }

    public function test_the_page_of_the_language_is_as_the_code_says_it(): void
    {
        self::assertSame(
            \App\Console\ReferenceCommand::page(),
            (string) file_get_contents($this->root().'/docs/language.md'),
            'php artisan parrot:reference > docs/language.md',
        );
        self::assertSame(
            \App\Console\SchemaCommand::document(),
            (string) file_get_contents($this->root().'/docs/formats/gates.schema.json'),
            'php artisan parrot:schema > docs/formats/gates.schema.json',
        );
    }

    /** @param  array<string, mixed>  $document */
    private static function written(string $name, array $document): string
    {
        $file = sys_get_temp_dir().'/'.uniqid("parrot-$name-", true).'.json';
        file_put_contents($file, json_encode($document, JSON_THROW_ON_ERROR));
        register_shutdown_function(static fn (): bool => unlink($file));

        return $file;
    }
}
