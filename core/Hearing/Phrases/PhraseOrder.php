<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Phrases;

use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Phrase;

/** The phrases that listen, as they win over each other: the most words first, equals in their author’s order. */
final readonly class PhraseOrder
{
    /** @param  list<array{command: Command, phrase: Phrase, words: int}>  $phrases */
    private function __construct(public array $phrases)
    {
    }

    public static function of(Pack $pack): self
    {
        $emotes = array_fill_keys(array_column($pack->emotes, 'word'), true);
        $phrases = [];
        foreach (PhraseIndex::inOrder($pack) as [$command, $phrase]) {
            $phrases[] = ['command' => $command, 'phrase' => $phrase, 'words' => self::words($phrase, $emotes)];
        }
        // Sorting is stable: equals stay as the index has them.
        usort($phrases, static fn (array $a, array $b): int => $b['words'] <=> $a['words']);

        return new self($phrases);
    }

    /**
     * Which places phrases must be given for one of them to stand elsewhere; it stays among those with as many words.
     *
     * @param  int  $from  where it stands
     * @param  int  $to  where it shall
     * @return array<string, array<string, int>> by id of the command, then by phrase; those that keep theirs are left
     *     out
     */
    public function moved(int $from, int $to): array
    {
        $words = $this->phrases[$from]['words'] ?? -1;
        $equals = array_filter($this->phrases, static fn (array $one): bool => $one['words'] === $words);
        $first = array_key_first($equals) ?? 0;
        $order = array_values($equals);
        $to = max(0, min(count($order) - 1, $to - $first));
        if ($order === [] || $to === $from - $first) {
            return [];
        }
        $placed = array_filter($order, static fn (array $one): bool => $one['phrase']->place > 0);
        $lastPlaced = array_key_last($placed) ?? -1;
        array_splice($order, $to, 0, array_splice($order, $from - $first, 1));
        // Those behind all that have a place need none.
        $numbered = array_slice($order, 0, min(Phrase::PLACES, max($to, $from - $first, $lastPlaced) + 1));
        $places = [];
        foreach ($numbered as $place => ['command' => $command, 'phrase' => $phrase]) {
            if ($phrase->place !== $place + 1) {
                $places[$command->id][$phrase->text] = $place + 1;
            }
        }

        return $places;
    }

    /** @param  array<string, true>  $emotes */
    private static function words(Phrase $phrase, array $emotes): int
    {
        $ways = PhraseSyntax::read($phrase->text, $emotes);

        return is_array($ways)
            ? max([0, ...array_map(static fn (array $way): int => count(array_filter($way, is_string(...))), $ways)])
            : 0;
    }
}
