<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPUnit\Framework\TestCase;

/** Who imports whom in the core: folders in one order, and no large circles of files. */
final class ImportsTest extends TestCase
{
    /** Each may use those before it. World.php stands behind the packs. */
    private const FOLDERS = [
        'Source',
        'Value',
        'Chat',
        'Memory',
        'Lookup',
        'Chance',
        'Pack',
        'Actions',
        'World',
        'Document',
        'Response',
        'Outbox',
        'Checks',
        'Hearing',
        'Format',
        'Rehearsal',
        'Figures',
    ];

    /** A gate setting brings its checks along, and the table of all checks asks it for them. */
    private const ALSO = [
        'Checks\Checks' => ['Hearing\Gates\GateSettings'],
        'Checks\MayNotChange' => ['Hearing\Gates\ForLevels'],
        'Checks\NoCooldown' => ['Hearing\Gates\Cooldown', 'Hearing\Gates\ForLevels'],
        'Checks\PhraseShared' => ['Hearing\Phrases\PhraseIndex', 'Hearing\Phrases\PhraseSyntax'],
        'Checks\PhraseMisses' => ['Hearing\Phrases\PhraseIndex'],
        'Checks\PhraseBroken' => ['Hearing\Phrases\PhraseFlaw', 'Hearing\Phrases\PhraseSyntax'],
        'Checks\NothingWhileOffline' => ['Hearing\Gates\StreamState', 'Hearing\Gates\WhileStream'],
    ];

    private const LARGEST_CIRCLE = 10;

    public function test_folders_use_only_those_before_them(): void
    {
        $place = array_flip(self::FOLDERS);
        $wrong = [];
        foreach (ImportGraph::ofCore()->imports as $class => $imported) {
            foreach ($imported as $other) {
                [$from, $to] = [explode('\\', $class)[0], explode('\\', $other)[0]];
                if ($place[$from] < $place[$to] && ! in_array($other, self::ALSO[$class] ?? [], true)) {
                    $wrong[] = "$class uses $other";
                }
            }
        }
        self::assertSame([], $wrong);
        self::assertContains(
            'Pack\Command',
            ImportGraph::ofCore()->imports['Pack\Pack'],
            'what stands in the same folder is found',
        );
        self::assertContains('World', ImportGraph::ofCore()->imports['Response\Evaluation\EvaluationContext']);
    }

    public function test_no_circle_of_imports_is_large(): void
    {
        $circles = ImportGraph::ofCore()->circles();
        self::assertNotSame([], $circles, 'a class and its other half import each other');
        self::assertSame(
            [],
            array_values(
                array_filter($circles, static fn (array $circle): bool => count($circle) > self::LARGEST_CIRCLE),
            ),
        );
    }

    public function test_a_circle_is_found(): void
    {
        self::assertEquals([['a', 'b', 'c']], array_map(static function (array $circle): array {
            sort($circle);

            return $circle;
        }, (new ImportGraph(['a' => ['b'], 'b' => ['c', 'd'], 'c' => ['a'], 'd' => [], 'e' => ['d']]))->circles()));
    }
}
