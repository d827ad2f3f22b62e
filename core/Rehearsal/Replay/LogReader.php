<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Replay;

use DateTimeImmutable;
use DateTimeZone;
use Generator;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Pack\CastMember;
use SilverParrot\Rehearsal\Crowd\CrowdWords;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Moment;

/**
 * A log read line by line, in constant memory but for the names in it: times without days go on behind midnight, what
 * goes back a little stays where it is, and what could not be read is counted.
 */
final class LogReader
{
    /** Lines that could not be read and are shown. */
    public const SHOWN = 10;

    /** How far a time without a day goes back until it is of the next day: in milliseconds. */
    private const MIDNIGHT = 6 * 3_600_000;

    /** What is written longer than this after the first line is left out: a month, in milliseconds. */
    public const LONGEST = 31 * 86_400_000;

    /** Of what somebody does (CTCP), and of colours with their numbers (common practice of IRC clients). */
    private const MARKS = '/\x01(?:ACTION )?|\x03(?:\d{1,2}(?:,\d{1,2})?)?|[\x00-\x08\x0B-\x1F\x7F]/';

    /** Names that are replaced; those behind have none of their own. */
    private const NAMES = 100_000;

    public int $read = 0;

    public int $unread = 0;

    /** Lines that were left out, since they lie too far behind the first. */
    public int $beyond = 0;

    /** Lines that went back in time, and were set to the line before them. */
    public int $backwards = 0;

    /** @var list<array{int, string}> number and text of the first that could not be read */
    public array $shown = [];

    /** @var array<string, Person> by folded name */
    private array $people = [];

    /** @var array{int, int, int} */
    private array $day;

    private ?int $last = null;

    private ?int $first = null;

    /**
     * @param  array{int, int, int}  $day  of times that have none, at the beginning
     * @param  bool  $isNameless  whether people's names are replaced
     * @param  list<Person>  $known  who is somebody already, by their names
     */
    public function __construct(
        private readonly LogForm $form,
        private readonly DateTimeZone $zone,
        array $day,
        private readonly bool $isNameless = false,
        array $known = [],
    ) {
        $this->day = $day;
        foreach ($isNameless ? [] : $known as $person) {
            $this->people[Fold::caseless($person->login)] = $person;
            $this->people[Fold::caseless($person->name)] ??= $person;
        }
    }

    /**
     * @param  iterable<string>  $lines
     * @return Generator<int, ChatLine> in the order of their moments
     */
    public function lines(iterable $lines): Generator
    {
        $number = 0;
        foreach ($lines as $line) {
            $number++;
            $line = rtrim($line, "\r\n");
            if (trim($line) === '') {
                continue;
            }
            $read = $this->form->line($line);
            if ($read === null || ($read->isSaid && $read->name === '')) {
                $this->unread++;
                if (count($this->shown) < self::SHOWN) {
                    $this->shown[] = [$number, mb_substr($line, 0, 120)];
                }

                continue;
            }
            if ($read->at?->day !== null) {
                $this->day = $read->at->day;
            }
            if (! $read->isSaid) {
                continue;
            }
            $millis = $this->moment($read->at);
            $this->first ??= $millis;
            if ($millis - $this->first > self::LONGEST) {
                $this->beyond++;

                continue;
            }
            $this->read++;

            yield new ChatLine(
                "line $number",
                $this->person($read->name),
                $this->text($read->text),
                new Moment($millis),
            );
        }
    }

    /** What a chat would have shown: without the marks of colours and of what somebody does (CTCP). */
    private function text(string $text): string
    {
        $text = self::unmarked($text);

        return rtrim($this->isNameless ? $this->nameless($text) : $text);
    }

    /** Within the length of a line. */
    public static function unmarked(string $text): string
    {
        return preg_replace(self::MARKS, '', mb_substr($text, 0, Limits::LINE)) ?? '';
    }

    private function moment(?LogTime $at): int
    {
        if ($at === null) {
            return $this->last ??= (int) $this->midnight()->format('U') * 1000;
        }
        $millis = $at->in($this->zone, $this->day);
        $isOfSomeDay = $at->millis === null && $at->day === null;
        if ($isOfSomeDay && $this->last !== null && $millis < $this->last - self::MIDNIGHT) {
            $next = $this->midnight()->modify('+1 day');
            $this->day = [(int) $next->format('Y'), (int) $next->format('n'), (int) $next->format('j')];
            $millis = $at->in($this->zone, $this->day);
        }
        if ($this->last !== null && $millis < $this->last) {
            $this->backwards++;
            $millis = $this->last;
        }

        return $this->last = $millis;
    }

    private function midnight(): DateTimeImmutable
    {
        return (new Moment(0))->in($this->zone)->setDate(...$this->day)->setTime(0, 0);
    }

    private function person(string $name): Person
    {
        $folded = Fold::caseless(mb_substr($name, 0, 60));
        if (! isset($this->people[$folded])) {
            if (count($this->people) >= self::NAMES) {
                return Person::known(CastMember::idOf($folded), $folded, mb_substr($name, 0, 60), Levels::of());
            }
            $shown = $this->isNameless ? self::name(count($this->people)) : mb_substr($name, 0, 60);
            $this->people[$folded] = Person::known(CastMember::idOf($shown), $shown, $shown, Levels::of());
        }

        return $this->people[$folded];
    }

    /** Also who is written to: “@odo”, or a word that somebody before was called. */
    private function nameless(string $text): string
    {
        return preg_replace_callback('/@?[\p{L}\p{N}_]{2,60}/u', function (array $word): string {
            $isMention = str_starts_with($word[0], '@');
            $folded = Fold::caseless(ltrim($word[0], '@'));
            $person = $this->people[$folded] ?? ($isMention ? $this->person($folded) : null);

            return $person === null ? $word[0] : ($isMention ? '@' : '').$person->name;
        }, $text) ?? $text;
    }

    private static function name(int $place): string
    {
        $names = count(CrowdWords::NAMES);

        return CrowdWords::NAMES[$place % $names].($place < $names ? '' : (string) intdiv($place, $names));
    }
}
