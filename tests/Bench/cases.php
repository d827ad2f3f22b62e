<?php

declare(strict_types=1);

// What is compared with what, and what the ratio may be at most.

use SilverParrot\Checks\Checks;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\Command;
use SilverParrot\Response\Response;
use SilverParrot\Response\Syntax\Row;
use SilverParrot\Response\Vocabulary\Vocabulary;
use Tests\Bench\Ahoy;
use Tests\Core\Response\CaseFile;
use Tests\Core\Response\World;
use Twig\Environment;
use Twig\Loader\ArrayLoader;

$ahoy = new Ahoy;
// New texts each time: what was read once would be remembered as a loaded class.
$thousand = static function (string $text): array {
    static $times = 0;
    $times++;

    return array_map(static fn (int $i): string => str_replace('#', "$times.$i", $text), range(1, 1_000));
};
$ours =
    'Ahoy # [target or "shore crew"]! [caller] saved you [either "a seat", "a mug", "a bun"] by [channel.category | '
        .'lower], [trigger].';
$theirs =
    'Ahoy # {{ target ?: "shore crew" }}! {{ caller }} saved you {{ random(["a seat", "a mug", "a bun"]) }} by {{ '
        .'category|lower }}, {{ trigger }}.';

// A pack of 2,000 commands: the responses of the language’s cases that have no mistakes, over and over.
$sources = [];
foreach (glob(__DIR__.'/../Core/Response/language/*.test') ?: [] as $file) {
    foreach (CaseFile::read($file) as $case) {
        if (! isset($case['finds'])) {
            $sources[] = $case['source'];
        }
    }
}
$commands = array_map(static fn (int $i): Command => Say::on("!c$i", $sources[$i % count($sources)]), range(1, 2_000));
$pack = World::pack()->withCommands($commands);

return [
    ['all checks of a pack of 2,000 commands, to reading it', 10.0, 1, static function () use ($pack): string {
        Checks::of($pack);

        return 'looked at';
    }, static function () use ($commands): string {
        $vocabulary = new Vocabulary;
        foreach ($commands as $command) {
            Response::of($command->responses[0]->text(), $vocabulary);
        }

        return 'looked at';
    }],
    ['saying a response, to a closure written by hand', 2.5, 5_000, $ahoy->ours(), $ahoy->byHand()],
    ['saying one with a division, to the same by hand', 2.5, 2_000, $ahoy->ours(Ahoy::DIVIDED), $ahoy->dividedByHand()],
    ['saying a response, to Twig', 0.6, 3_000, $ahoy->ours(), $ahoy->twig(false)],
    ['saying a response, to Twig in its sandbox', 0.35, 2_000, $ahoy->ours(), $ahoy->twig(true)],
    ['saying with the trace, to saying without', 1.6, 5_000, $ahoy->ours(traced: true), $ahoy->ours()],
    [
        'reading and preparing 1,000 responses, to Twig’s load without a cache',
        0.15,
        1,
        static function () use ($thousand, $ours): string {
            // Both sides make their table of names once: ours the vocabulary, Twig its environment.
            $vocabulary = new Vocabulary;
            foreach ($thousand($ours) as $text) {
                Row::of(Response::of($text, $vocabulary)->parts);
            }

            return 'read';
        }, static function () use ($thousand, $theirs): string {
            $templates = $thousand($theirs);
            $twig = new Environment(new ArrayLoader($templates), ['autoescape' => false]);
            foreach (array_keys($templates) as $name) {
                $twig->load((string) $name);
            }

            return 'read';
        }],
];
