<?php

declare(strict_types=1);

namespace App\Air;

use DateTimeZone;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\HandledEvent;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Message;
use SilverParrot\Source\Wording;
use SilverParrot\Value\Moment;

/**
 * One line of the log: heard, said, or told by the chat server. What it found is kept, so that it can be heard again.
 */
final class LogEntry
{
    public const HEARD = 'heard';

    /** Heard too, by the parrot alone: only what sets a command off is kept. */
    public const WHISPERED = 'whispered';

    public const SAID = 'said';

    /** Said too, to whoever is answered alone. */
    public const SAID_ALONE = 'said-alone';

    /** Queued, and given up because the chat takes no more. */
    public const DROPPED = 'dropped';

    /** What the chat server told the talker, a refusal mostly. */
    public const NOTICE = 'notice';

    /** Longer texts are cut in the log alone. */
    private const LONGEST = 2_000;

    /** Why nothing was said, in a sentence; empty where there is nothing to tell. */
    public string $outcome = '';

    public Silence $silence = Silence::None;

    /** @var array<string, null|bool|int|string|array<string, mixed>> by key id */
    public array $memory = [];

    /** @var array<string, null|bool|int|string> by request id */
    public array $readings = [];

    public readonly string $text;

    public function __construct(
        public readonly int $number,
        public readonly string $kind,
        public readonly Moment $at,
        public readonly string $key,
        public readonly Person $by,
        string $text,
        public readonly int $edition,
    ) {
        $this->text = mb_substr($text, 0, self::LONGEST);
    }

    public function foundBy(HandledEvent $carried, Wording $wording): void
    {
        $this->memory = $carried->memory;
        $this->readings = $carried->readings;
        if ($carried->outcome instanceof Outcome) {
            $this->silence = Silence::of($carried->outcome);
            $this->outcome = match (true) {
                $carried->outcome->failed !== null => 'failed: '.$wording->of($carried->outcome->failed->message()),
                $carried->outcome->closed !== null => ($carried->outcome->sayings === [] ? 'no reply: ' : 'refused: ')
                    .$wording->of($carried->outcome->closed->reason),
                default => '',
            };
        }
    }

    /** It would have been answered, had the parrot not been silenced. */
    public function unanswered(Wording $wording): void
    {
        $this->silence = Silence::Parrot;
        $this->outcome = $wording->of(new Message('why.parrot-silenced'));
    }

    public function line(): ChatLine
    {
        return new ChatLine(
            $this->key,
            $this->by,
            $this->text,
            $this->at,
            isWhisper: $this->kind === self::WHISPERED,
        );
    }

    public function isHeard(): bool
    {
        return in_array($this->kind, [self::HEARD, self::WHISPERED], true);
    }

    /**
     * @return array{number: int, kind: string, time: string, name: string, level: string, text: string,
     *     outcome: string} for a page
     */
    public function told(DateTimeZone $zone): array
    {
        $level = $this->by->levels->highest();

        return [
            'number' => $this->number,
            'kind' => $this->kind,
            'time' => $this->at->in($zone)->format('H:i:s'),
            'name' => $this->by->name,
            'level' => $level === Level::Everyone ? '' : $level->label(),
            'text' => $this->text,
            'outcome' => $this->outcome,
        ];
    }

    /** @return list<int|string> in the order of Log::COLUMNS, without the channel */
    public function row(): array
    {
        $json = static fn (array $value): string => json_encode(
            (object) $value,
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE,
        );

        return [
            $this->number,
            str_replace(['T', 'Z'], [' ', ''], $this->at->iso()),
            $this->kind,
            $this->key,
            $this->text,
            mb_substr(Fold::caseless("{$this->text}\n{$this->by->name}"), 0, 2_500),
            $json($this->by->record()),
            $this->edition,
            mb_substr($this->outcome, 0, 500),
            $this->silence->value,
            $json($this->memory),
            $json($this->readings),
        ];
    }

    /**
     * @param  object{number: int, at: string, kind: string, event_key: string, text: string, person: string,
     *     edition: int, outcome: string, silence: string, memory: string, readings: string}  $row
     */
    public static function fromRow(object $row): self
    {
        /** @var array<string, mixed> $person */
        $person = json_decode($row->person, true) ?: [];
        $line = new self(
            $row->number,
            $row->kind,
            Moment::fromIso($row->at) ?? new Moment(0),
            $row->event_key,
            Person::fromRecord($person) ?? Person::unknown(''),
            $row->text,
            $row->edition,
        );
        $line->outcome = $row->outcome;
        $line->silence = Silence::tryFrom($row->silence) ?? Silence::None;
        /** @var array<string, null|bool|int|string|array<string, mixed>> $memory */
        $memory = json_decode($row->memory, true) ?: [];
        /** @var array<string, null|bool|int|string> $readings */
        $readings = json_decode($row->readings, true) ?: [];
        $line->memory = $memory;
        $line->readings = $readings;

        return $line;
    }
}
