<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;

/**
 * A name, a filter, a check, a gate setting and a step come with one file and one line each; everything else finds
 * them.
 */
final class AdditionsTest extends TestCase
{
    /** Where each file goes, and the line behind which its own one stands. */
    private const ADDITIONS = [
        'Whim' => [
            'Response/Vocabulary/Names',
            'Response/Vocabulary/Vocabulary.php',
            'new Names\OutcomeName,',
            'new Names\Whim,',
        ],
        'Twice' => [
            'Response/Vocabulary/Filters',
            'Response/Vocabulary/Vocabulary.php',
            'new Filters\Link,',
            'new Filters\Twice,',
        ],
        'NoShouting' => ['Checks', 'Checks/Checks.php', 'new NothingToSay,', 'new NoShouting,'],
        'Quietly' => ['Hearing/Gates', 'Hearing/Gates/GateSettings.php', 'Enabled::class,', 'Quietly::class,'],
        'Nap' => [
            'Hearing/Steps',
            'Format/StepFormat.php',
            "        return [\n",
            "'nap' => static fn (Document \$step): Step => new "
                ."\\SilverParrot\\Hearing\\Steps\\Nap(\$step->object(['nap'])->at('nap')->whole(1, 60)),",
        ],
    ];

    private string $core;

    protected function setUp(): void
    {
        $this->core = sys_get_temp_dir().'/parrot-core-'.bin2hex(random_bytes(4));
        exec('cp -r '.escapeshellarg(dirname(__DIR__, 2).'/core').' '.escapeshellarg($this->core));
    }

    protected function tearDown(): void
    {
        exec('rm -rf -- '.escapeshellarg($this->core));
    }

    public function test_each_is_one_file_and_one_line(): void
    {
        foreach (self::ADDITIONS as $name => [$folder, $table, $behind, $line]) {
            copy(__DIR__."/Additions/$name.php", "{$this->core}/$folder/$name.php");
            $source = (string) file_get_contents("{$this->core}/$table");
            self::assertSame(1, substr_count($source, $behind), $table);
            file_put_contents("{$this->core}/$table", str_replace($behind, "$behind\n$line\n", $source));
        }
        exec(
            implode(
                ' ',
                array_map(escapeshellarg(...), [
                    PHP_BINARY,
                    '-d',
                    'pcov.enabled=0',
                    __DIR__.'/Additions/added.php',
                    $this->core,
                ]),
            ).' 2>&1',
            $told,
            $code,
        );
        self::assertSame(0, $code, implode("\n", $told));
        self::assertSame([
            'reading' => [],
            'written' => [true, true, ['quietly' => 'Hush.']],
            'reference' => ['whim', 'twice'],
            // What says nothing of itself may be anything: two times that may be too long.
            'findings' => ['no-shouting', 'can-fail'],
            'summary' => [
                'summary.quietly',
                'summary.anyone',
                'summary.cooldown length.seconds 10',
                'summary.cooldown-of-person length.once-minutes 1',
            ],
            'schema' => ['type' => 'boolean'],
            'refusal' => 'When it is loud',
            'says' => [['teatea!!'], ['Hush.']],
        ], json_decode(implode("\n", $told), true));
    }
}
