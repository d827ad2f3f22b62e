<?php

declare(strict_types=1);

namespace Tests\Faults;

/** One line of the core or of the application made wrong, and who must notice. */
final readonly class Fault
{
    /** @param  string  $noticedBy  a file or folder of tests; empty for the whole suite of the core */
    private function __construct(
        public string $file,
        public string $what,
        public string $right,
        public string $wrong,
        public string $noticedBy,
    ) {
    }

    /**
     * @return list<self> of faults.diff: a head “@@ file: what is wrong then” or “@@ file (tests): …”, the line as it
     *     is, the line as it is put
     */
    public static function all(): array
    {
        $faults = [];
        foreach (
            array_slice(preg_split('/^@@ /m', (string) file_get_contents(__DIR__.'/faults.diff')) ?: [], 1) as $block
        ) {
            [$head, $right, $wrong] = explode("\n", rtrim($block, "\n"), 3) + [1 => '', 2 => ''];
            [$file, $what] = explode(': ', $head, 2) + [1 => ''];
            [$file, $noticedBy] = explode(' (', rtrim($file, ')'), 2) + [1 => ''];
            $faults[] = new self($file, $what, substr($right, 1), substr($wrong, 1), $noticedBy);
        }

        return $faults;
    }

    /**
     * An eighth of them, another each day; which one is only a matter of the seed.
     *
     * @return list<self>
     */
    public static function eighth(string $seed): array
    {
        $faults = self::all();
        usort(
            $faults,
            static fn (self $a, self $b): int => hash('xxh64', $seed.$a->name()) <=> hash('xxh64', $seed.$b->name()),
        );

        return array_slice($faults, 0, (int) ceil(count($faults) / 8));
    }

    /**
     * @return list<list<string>> arguments of PHPUnit, the tests that are likeliest and quickest to notice it first;
     *     for the core, all of its suite in the end
     */
    public function lookedForBy(string $project): array
    {
        if ($this->isOfTheApplication()) {
            return [["$project/{$this->noticedBy}"]];
        }
        $room = "$project/tests/Core/".explode('/', $this->file)[1];
        $all = "$project/tests/Core";

        return [
            ...is_dir($room) ? [[$room, '--exclude-group=wide']] : [],
            [$all, '--exclude-group=wide'],
            [$all, '--group=wide'],
        ];
    }

    public function isOfTheApplication(): bool
    {
        return $this->noticedBy !== '';
    }

    public function name(): string
    {
        return "{$this->file}: {$this->what}";
    }

    /** @return string|null the file with the fault in it; null where its line does not stand there exactly once */
    public function in(string $project): ?string
    {
        $text = (string) file_get_contents("$project/{$this->file}");

        return substr_count($text, $this->right) === 1 ? str_replace($this->right, $this->wrong, $text) : null;
    }
}
