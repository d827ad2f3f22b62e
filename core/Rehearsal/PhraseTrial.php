<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Hearing\Phrases\LineWords;
use SilverParrot\Hearing\Phrases\PhraseIndex;
use SilverParrot\Hearing\TriggerMatch;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Phrase;
use SilverParrot\Pack\Triggers;

/**
 * How often the phrases of a command would set it off in a chat, and in which lines. A line that is a command sets off
 * no phrase; of several phrases of the command a line counts for the one that wins.
 */
final readonly class PhraseTrial
{
    /** More than one line in so many is too common, from FEW answers on. */
    public const COMMON = 50;

    private const FEW = 3;

    /** Cooldowns that are offered, in seconds. */
    private const COOLDOWNS = [300, 900, 1_800, 3_600, 7_200];

    /** Words that are tried behind or before a phrase that is too common. */
    private const TRIED = 8;

    /**
     * @param  Pack  $pack  whose emotes and triggers are known
     * @param  array<int, list<array{number: int, text: string, evening: string, second: int}>>  $hits  by the place of
     *     the phrase
     */
    private function __construct(private Pack $pack, private ChatSample $sample, public array $hits)
    {
    }

    public static function of(Pack $pack, Command $command, ChatSample $sample): self
    {
        $phrases = $command->triggers->phrases;
        $alone = $command->on(new Triggers('', [], $phrases));
        $index = PhraseIndex::of($pack->withCommands([$alone]));
        $hits = array_fill_keys(array_keys($phrases), []);
        foreach ($index->isEmpty() ? [] : $sample->lines as $line) {
            $match = $index->in($line['text']);
            $place = $match === null ? false : array_search($match->phrase, $phrases, true);
            if (is_int($place) && TriggerMatch::in($pack, $line['text']) === null) {
                $hits[$place][] = $line;
            }
        }

        return new self($pack, $sample, $hits);
    }

    /** Lines in which the phrase would be heard. */
    public function heard(int $place): int
    {
        return count($this->hits[$place] ?? []);
    }

    /** How often the command would answer an evening because of it, its own cooldown among what holds it back. */
    public function anEvening(int $place, int $cooldown): float
    {
        return (float) $this->answers($this->hits[$place] ?? [], $cooldown) / max(1, $this->sample->evenings());
    }

    public function isTooCommon(int $place, int $cooldown): bool
    {
        return $this->isOften($this->answers($this->hits[$place] ?? [], $cooldown));
    }

    /**
     * What would make it rarer: the longer texts that leave most of it, and the shortest cooldown that is long enough.
     *
     * @return array{texts: list<array{string, float}>, cooldown: array{int, float}|null} each with the answers that an
     *     evening would have then
     */
    public function rarer(Phrase $phrase, int $place): array
    {
        $hits = $this->hits[$place] ?? [];
        $evenings = max(1, $this->sample->evenings());
        $texts = [];
        foreach ($this->longer($phrase, $hits) as $text) {
            $index = PhraseIndex::ofOne($phrase->written($text), $this->pack);
            $left = array_values(
                array_filter($hits, static fn (array $line): bool => $index->in($line['text']) !== null),
            );
            $answers = $this->answers($left, $phrase->cooldown);
            if ($left !== [] && ! $this->isOften($answers) && mb_strlen($text) <= Phrase::LONGEST) {
                $texts[$text] = (float) $answers / $evenings;
            }
        }
        arsort($texts);
        $cooldown = null;
        foreach (self::COOLDOWNS as $seconds) {
            $answers = $this->answers($hits, $seconds);
            if ($cooldown === null && ! $this->isOften($answers)) {
                $cooldown = [$seconds, (float) $answers / $evenings];
            }
        }

        return [
            'texts' => array_map(
                static fn (string $text, float $rate): array => [$text, $rate],
                array_slice(array_map(strval(...), array_keys($texts)), 0, 2),
                array_slice(array_values($texts), 0, 2),
            ),
            'cooldown' => $cooldown,
        ];
    }

    /**
     * @param  list<array{number: int, text: string, evening: string, second: int}>  $hits
     * @return list<string> with one of the words that most often stand near it
     */
    private function longer(Phrase $phrase, array $hits): array
    {
        $own = array_fill_keys(LineWords::of($phrase->text), true);
        $counts = [];
        foreach ($hits as $line) {
            foreach (array_unique(LineWords::of($line['text'])) as $word) {
                if (! isset($own[$word]) && preg_match('/^\p{L}/u', $word) === 1) {
                    $counts[$word] = ($counts[$word] ?? 0) + 1;
                }
            }
        }
        arsort($counts);
        $texts = [];
        foreach (array_slice(array_keys($counts), 0, self::TRIED) as $word) {
            array_push($texts, "{$phrase->text} .. $word", "$word .. {$phrase->text}");
        }

        return $texts;
    }

    /**
     * Of lines that were drawn from more, each stands for those that were not; a cooldown lets no more through than fit
     * between the first and the last of an evening.
     *
     * @param  list<array{number: int, text: string, evening: string, second: int}>  $hits  oldest first
     */
    private function answers(array $hits, int $cooldown): int
    {
        if ($cooldown === 0) {
            return count($hits) * $this->sample->every;
        }
        $evenings = [];
        foreach ($hits as $line) {
            $evenings[$line['evening']][] = $line['second'];
        }
        $answers = 0;
        foreach ($evenings as $seconds) {
            [$last, $let] = [null, 0];
            foreach ($seconds as $second) {
                if ($last === null || $second - $last >= $cooldown) {
                    [$last, $let] = [$second, $let + 1];
                }
            }
            $fit = intdiv($seconds[count($seconds) - 1] - $seconds[0], $cooldown) + 1;
            $answers += min($fit, $let * $this->sample->every);
        }

        return $answers;
    }

    private function isOften(int $answers): bool
    {
        return $answers >= self::FEW && $answers * self::COMMON > count($this->sample->lines) * $this->sample->every;
    }
}
