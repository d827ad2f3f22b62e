<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Replay;

use SilverParrot\Chat\ChatLine;
use SilverParrot\Hearing\Phrases\LineWords;
use SilverParrot\Hearing\Phrases\PhraseIndex;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Phrase;
use SilverParrot\Rehearsal\Heard;

/**
 * Questions of a log that the parrot did not answer, those with the same words together, with a phrase that would catch
 * them, and a reply.
 */
final class OpenQuestions
{
    /** Words that say nothing of what is asked: they stand in most questions. */
    private const COMMON = [
        'a', 'an', 'and', 'any', 'are', 'at', 'be', 'been', 'but', 'by', 'can', 'could', 'did', 'do', 'does', 'for',
        'from', 'get', 'going', 'has', 'have', 'he', 'her', 'hey', 'hi', 'his', 'how', 'i', 'if', 'in', 'is', 'it',
        'its', 'just', 'know', 'like', 'me', 'my', 'now', 'of', 'oh', 'on', 'or', 'our', 'please', 'she', 'so', 'than',
        'that', 'the', 'their', 'them', 'then', 'there', 'they', 'this', 'to', 'was', 'we', 'were', 'what', 'whats',
        'will', 'with', 'would', 'you', 'your', 'anyone', 'anybody', 'someone', 'somebody', 'today', 'tonight',
    ];

    private const GROUPS = 5_000;

    /** Words of a question that tell what it asks; one that has more is a story. */
    private const WORDS = 8;

    private const LINES_OF_A_GROUP = 5;

    /** Lines that a phrase is tried in. */
    private const TRIED = 5_000;

    private const SHOWN = 10;

    /** @var array<string, array{count: int, lines: list<string>}> by their words */
    private array $groups = [];

    /** @var array<int, string> of all lines, drawn evenly */
    private array $sample = [];

    private int $seen = 0;

    private readonly DraftedReplies $replies;

    public function __construct()
    {
        $this->replies = new DraftedReplies;
    }

    public function take(Heard $heard): void
    {
        $line = $heard->event;
        if (! $line instanceof ChatLine) {
            return;
        }
        $this->sample($line->text);
        if ($heard->outcome->command !== null) {
            return;
        }
        if (! str_contains($line->text, '?')) {
            $this->replies->answered($line);

            return;
        }
        $words = array_values(array_unique(array_map(self::stem(...), array_filter(
            LineWords::of(mb_substr($line->text, 0, 300)),
            static fn (string $word): bool => ! in_array($word, self::COMMON, true),
        ))));
        sort($words);
        $key = implode(' ', $words);
        $isFull = ! isset($this->groups[$key]) && count($this->groups) >= self::GROUPS;
        if ($words === [] || count($words) > self::WORDS || $isFull) {
            return;
        }
        $this->groups[$key] ??= ['count' => 0, 'lines' => []];
        $this->groups[$key]['count']++;
        $this->replies->asked($key, $line);
        if (count($this->groups[$key]['lines']) < self::LINES_OF_A_GROUP) {
            $this->groups[$key]['lines'][] = mb_substr($line->text, 0, 200);
        }
    }

    /**
     * @return list<array{count: int, lines: list<string>, phrase: string, others: int, tried: int, reply: string,
     *     by: string}> asked at least twice, most often first, each with a phrase, how many other lines of a sample it
     *     would be in, and a reply: what somebody answered, and who; nobody’s only begins
     */
    public function groups(Pack $pack): array
    {
        $groups = array_filter($this->groups, static fn (array $one): bool => $one['count'] > 1);
        uasort($groups, static fn (array $a, array $b): int => $b['count'] <=> $a['count']);
        $told = [];
        foreach (array_slice($groups, 0, self::SHOWN, true) as $key => $group) {
            $phrase = self::phrase($group['lines'][0], explode(' ', (string) $key));
            $index = PhraseIndex::ofOne(new Phrase($phrase), $pack);
            $hits = count(array_filter($this->sample, static fn (string $line): bool => $index->in($line) !== null));
            $own = (int) round($group['count'] * count($this->sample) / max(1, $this->seen));
            $told[] = $group + ['phrase' => $phrase, 'others' => max(0, $hits - $own), 'tried' => count($this->sample)]
                + ($this->replies->of((string) $key) ?? ['reply' => '[caller], ', 'by' => '']);
        }

        return $told;
    }

    /**
     * Its telling words in their order, with a gap where others stand between.
     *
     * @param  list<string>  $stems
     */
    private static function phrase(string $line, array $stems): string
    {
        $phrase = '';
        $isGap = false;
        foreach (LineWords::of($line) as $word) {
            if (in_array(self::stem($word), $stems, true)) {
                $between = $isGap ? ' .. ' : ' ';
                $phrase .= $phrase === '' ? $word : $between.$word;
                $isGap = false;
            } else {
                $isGap = true;
            }
        }

        return $phrase;
    }

    /** Forms of a word are one: a rough rule for English, which others pass through. */
    private static function stem(string $word): string
    {
        foreach (['ing', 'ed', 'es', 's'] as $end) {
            if (mb_strlen($word) > mb_strlen($end) + 3 && str_ends_with($word, $end)) {
                return mb_substr($word, 0, -mb_strlen($end));
            }
        }

        return $word;
    }

    /** Every so many lines take the place of others, by a rule instead of luck: the same log gives the same sample. */
    private function sample(string $text): void
    {
        $this->seen++;
        if (count($this->sample) < self::TRIED) {
            $this->sample[] = mb_substr($text, 0, 500);
        } elseif (($place = crc32("sample {$this->seen}") % $this->seen) < self::TRIED) {
            $this->sample[$place] = mb_substr($text, 0, 500);
        }
    }
}
