<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Phrases;

use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Phrase;
use SilverParrot\Pack\Triggers;

/**
 * All phrases of a pack as one tree of words, walked once from each word of a line: what it costs hangs on the line,
 * and hardly on how many phrases there are. Nodes are numbered; the first is the root.
 */
final class PhraseIndex
{
    /** Letters of a word that may have a wrong one. */
    public const LONG = 6;

    /** Steps that one line may take: the same word over and over, and many gaps, would cost more than any answer. */
    private const STEPS = 20_000;

    /** Words that are remembered with what they may mean. */
    private const KNOWN = 5_000;

    /** Commands that answer a line beside the one that won it. */
    public const BESIDES = 3;

    /**
     * @var array<string, int> the next node, by node and word: in one array, since one for each node would take most of
     *     the memory
     */
    private array $next = [];

    private int $nodes = 1;

    /** @var array<string, string> tolerant words with spaces between them, by what is left of them */
    private array $near = [];

    /** @var array<string, list<string>> tolerant words that some words are, but for one letter */
    private array $known = [];

    /** @var array<int, true> nodes behind which a tolerant word may stand */
    private array $tolerant = [];

    /** @var array<int, int> by node, the one behind a gap */
    private array $gaps = [];

    /** @var array<int, int> by node, which phrase ends there; the first to claim one has it */
    private array $ends = [];

    /** @var list<PhraseMatch> */
    private array $phrases = [];

    /** Whether any of them answers beside others: nearly no pack has one, and then no line is looked at twice. */
    private bool $isAnyAlso = false;

    /** @var array<string, true> */
    private array $emotes = [];

    /** @var array<int, true>|null where all are wanted, those that ended */
    private ?array $found = null;

    public static function of(Pack $pack): self
    {
        $index = new self;
        foreach ($pack->emotes as $emote) {
            $index->emotes[$emote->word] = true;
        }
        foreach (self::inOrder($pack) as [$command, $phrase]) {
            $index->add($command, $phrase);
        }

        return $index;
    }

    /** @return list<array{Command, Phrase}> those that are on, first those that their author has given a place */
    public static function inOrder(Pack $pack): array
    {
        $placed = $rest = [];
        foreach ($pack->commands as $command) {
            foreach ($command->isOn() ? $command->triggers->phrases : [] as $phrase) {
                if ($phrase->isOn && $phrase->place > 0) {
                    $placed[] = [$command, $phrase];
                } elseif ($phrase->isOn) {
                    $rest[] = [$command, $phrase];
                }
            }
        }
        usort($placed, static fn (array $a, array $b): int => $a[1]->place <=> $b[1]->place);

        return [...$placed, ...$rest];
    }

    /** @param  Pack  $pack  whose emotes stand as they are */
    public static function ofOne(Phrase $phrase, Pack $pack): self
    {
        return self::of($pack->withCommands([new Command(new Triggers('', [], [$phrase->switched(true)]))]));
    }

    public function isEmpty(): bool
    {
        return $this->phrases === [];
    }

    /** @return PhraseMatch|null of several, the one with the most words; of equals the first in the author's order */
    public function in(string $line): ?PhraseMatch
    {
        if ($this->phrases === []) {
            return null;
        }
        $words = LineWords::of($line, $this->emotes);
        $best = null;
        $steps = self::STEPS;
        $isTolerant = isset($this->tolerant[0]);
        foreach ($words as $from => $word) {
            // Nearly no word begins a phrase.
            if (isset($this->next["0=$word"]) || ($isTolerant && $this->meantBy($word) !== [])) {
                $this->walk(0, $words, $from, $best, $steps);
            }
        }

        return $best === null ? null : $this->phrases[$best];
    }

    /** @return list<PhraseMatch> of other commands, each once, that answer a line beside the one that won it */
    public function besides(PhraseMatch $winner, string $line): array
    {
        $besides = [];
        foreach ($this->isAnyAlso ? $this->all($line) : [] as $match) {
            if ($match->phrase->isAlso && $match->command !== $winner->command) {
                $besides[$match->command->id] ??= $match;
            }
        }

        return array_slice(array_values($besides), 0, self::BESIDES);
    }

    /** @return list<PhraseMatch> all phrases that stand in it, each once */
    public function all(string $line): array
    {
        $this->found = [];
        $this->in($line);
        /** @var array<int, true> $found */
        $found = $this->found;
        $all = [];
        foreach (array_keys($found) as $end) {
            $all[spl_object_id($this->phrases[$end]->phrase)] = $this->phrases[$end];
        }
        $this->found = null;

        return array_values($all);
    }

    private function add(Command $command, Phrase $phrase): void
    {
        $this->isAnyAlso = $this->isAnyAlso || $phrase->isAlso;
        $read = PhraseSyntax::read($phrase->text, $this->emotes);
        foreach (is_array($read) ? $read : [] as $words) {
            $node = 0;
            foreach ($words as $word) {
                $node = $word === null ? $this->gap($node) : $this->word($node, $word, $phrase->isTolerant);
            }
            $this->ends[$node] ??= count($this->phrases);
            $this->phrases[] = new PhraseMatch($command, $phrase, count(array_filter($words, is_string(...))));
        }
    }

    private function word(int $node, string $word, bool $isTolerant): int
    {
        $isTolerant = $isTolerant && mb_strlen($word) >= self::LONG;
        // A tolerant word has a node of its own, or it would make the same word of others tolerant.
        $key = $isTolerant ? "$node~$word" : "$node=$word";
        if ($isTolerant) {
            $this->tolerant[$node] = true;
        }
        if (! isset($this->next[$key])) {
            $this->next[$key] = $this->nodes++;
            foreach ($isTolerant ? OneLetter::left($word) : [] as $left) {
                $known = $this->near[$left] ?? '';
                $this->near[$left] = match (true) {
                    $known === '' => $word,
                    str_contains(" $known ", " $word ") => $known,
                    default => "$known $word",
                };
            }
        }

        return $this->next[$key];
    }

    private function gap(int $node): int
    {
        return $this->gaps[$node] ??= $this->nodes++;
    }

    /** @param  list<string>  $words */
    private function walk(int $node, array $words, int $at, ?int &$best, int &$steps): void
    {
        if (--$steps < 0) {
            return;
        }
        $end = $this->ends[$node] ?? null;
        if ($end !== null && $this->found !== null) {
            $this->found[$end] = true;
        }
        if ($end !== null && ($best === null || $this->isBetter($end, $best))) {
            $best = $end;
        }
        if (isset($this->gaps[$node])) {
            for ($skip = 0; $skip <= PhraseSyntax::GAP && $at + $skip < count($words); $skip++) {
                $this->onWord($this->gaps[$node], $words, $at + $skip, $best, $steps);
            }
        }
        if ($at < count($words)) {
            $this->onWord($node, $words, $at, $best, $steps);
        }
    }

    /** @param  list<string>  $words */
    private function onWord(int $node, array $words, int $at, ?int &$best, int &$steps): void
    {
        $next = $this->next["$node={$words[$at]}"] ?? null;
        if ($next !== null) {
            $this->walk($next, $words, $at + 1, $best, $steps);
        }
        foreach (isset($this->tolerant[$node]) ? $this->meantBy($words[$at]) : [] as $word) {
            $near = $this->next["$node~$word"] ?? null;
            if ($near !== null) {
                $this->walk($near, $words, $at + 1, $best, $steps);
            }
        }
    }

    /** @return list<string> tolerant words that it is, but for one letter */
    private function meantBy(string $word): array
    {
        if (isset($this->known[$word])) {
            return $this->known[$word];
        }
        $meant = [];
        foreach (mb_strlen($word) >= self::LONG - 1 ? OneLetter::left($word) : [] as $left) {
            foreach (isset($this->near[$left]) ? explode(' ', $this->near[$left]) : [] as $one) {
                $meant[$one] = $one;
            }
        }

        // Most of what is said is said again.
        if (count($this->known) >= self::KNOWN) {
            $this->known = [];
        }

        return $this->known[$word] = array_values(
            array_filter($meant, static fn (string $one): bool => OneLetter::isAll($word, $one)),
        );
    }

    private function isBetter(int $one, int $other): bool
    {
        return $this->phrases[$one]->words > $this->phrases[$other]->words
            || ($this->phrases[$one]->words === $this->phrases[$other]->words && $one < $other);
    }
}
