<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PhpParser\Node\Expr\Ternary;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Finder\Finder;

/** What the formatter cannot set: how long a line may get, and that no choice stands inside another one. */
final class FormTest extends TestCase
{
    private const LONGEST = 120;

    private const FOLDERS = ['app', 'bin', 'bootstrap', 'config', 'core', 'database', 'harbour', 'routes', 'tests'];

    public function test_lines_have_at_most_120_characters_but_for_the_names_of_tests(): void
    {
        self::assertSame(['2'], self::tooLong("<?php\n// ".str_repeat('é', 118)."\n"));
        self::assertSame([], self::tooLong("<?php\n// ".str_repeat('é', 117)."\n"));
        $this->holds(self::tooLong(...));
    }

    public function test_no_choice_between_two_values_stands_inside_another(): void
    {
        self::assertSame(['3'], self::nested("<?php\n\$a = \$b ? 1\n    : (\$c ? 2 : 3);"));
        self::assertSame([], self::nested("<?php\n\$a = \$b ? f(\$c ? 1 : 2) : (\$d ?: 3);"));
        $this->holds(self::nested(...));
    }

    /** @param  callable(string): list<string>  $wrong */
    private function holds(callable $wrong): void
    {
        $project = dirname(__DIR__, 2);
        $found = [];
        $files = 0;
        foreach (
            (new Finder)
                ->files()
                ->name('*.php')
                ->in(array_map(static fn (string $one): string => "$project/$one", self::FOLDERS))
                ->notPath('cache') as $file
        ) {
            $files++;
            foreach ($wrong($file->getContents()) as $line) {
                $found[] = substr($file->getPathname(), strlen($project) + 1).":$line";
            }
        }
        self::assertSame([], $found);
        self::assertGreaterThan(700, $files);
    }

    /** @return list<string> numbers of lines */
    private static function tooLong(string $source): array
    {
        $long = array_filter(
            explode("\n", $source),
            static fn (string $line): bool => mb_strlen($line) > self::LONGEST
                && ! str_starts_with($line, '    public function test_'),
        );

        return array_map(static fn (int $line): string => (string) ($line + 1), array_keys($long));
    }

    /** @return list<string> numbers of lines */
    private static function nested(string $source): array
    {
        $lines = [];
        $all = (new NodeFinder)->findInstanceOf(
            (new ParserFactory)->createForHostVersion()->parse($source) ?? [],
            Ternary::class,
        );
        foreach ($all as $choice) {
            foreach ([$choice->cond, $choice->if, $choice->else] as $inside) {
                if ($inside instanceof Ternary && $inside->if !== null && $choice->if !== null) {
                    $lines[] = (string) $inside->getStartLine();
                }
            }
        }

        return $lines;
    }
}
