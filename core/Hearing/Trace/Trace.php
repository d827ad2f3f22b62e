<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Trace;

use SilverParrot\Chat\ChatLine;
use SilverParrot\Hearing\Gates\GateRefusal;
use SilverParrot\Hearing\Phrases\PhraseMatch;
use SilverParrot\Hearing\TriggerMatch;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\ReadingOrigin;
use SilverParrot\Lookup\Request;
use SilverParrot\Memory\Change;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\Evaluation\SlotTrace;
use SilverParrot\Source\Message;
use SilverParrot\Source\Source;
use SilverParrot\Source\Span;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Value;

/** The why: what the parrot did for one line, in the order in which it did it. */
final class Trace implements SlotTrace
{
    /**
     * @var list<Entry|LookedUp|array{Pack, string}|array{string, Span, bool}|array{string, Span, string|null,
     *     null|bool|int|string|Value}> what slots said and choices chose is put into words only when somebody asks
     */
    private array $entries = [];

    /** The text that is said now, and the id of the command that says it. */
    private string $source = '';

    private string $command = '';

    /** @var list<array{string, string, Span, bool}> the command, its text, a place in that, and whether it held */
    private array $places = [];

    /** @var array<string, true> */
    private array $reached = [];

    /** @return list<Entry> */
    public function entries(): array
    {
        $entries = [];
        foreach ($this->entries as $entry) {
            $entries[] = match (true) {
                $entry instanceof Entry => $entry,
                $entry instanceof LookedUp => $entry->entry(),
                count($entry) === 2 => self::ofNothing(...$entry),
                count($entry) === 3 => self::ofChoice(...$entry),
                default => self::ofSlot(...$entry),
            };
        }

        return $entries;
    }

    /** @return list<string> what was come to, as Reach calls it */
    public function reached(): array
    {
        $reached = $this->reached;
        foreach ($this->places as [$command, $text, $span, $holds]) {
            $reached[Reach::place($command, $text, $span, $holds)] = true;
        }

        return array_keys($reached);
    }

    /** What came of it later is told with it. */
    public function goesOnWith(self $later): void
    {
        array_push($this->entries, ...$later->entries);
        array_push($this->places, ...$later->places);
        $this->reached += $later->reached;
    }

    public function heard(ChatLine $line): void
    {
        $this->add(EntryKind::Heard, ['by' => $line->by->name, 'line' => $line->text]);
    }

    public function fromTalker(): void
    {
        $this->add(EntryKind::Talker, []);
    }

    /** Nearly every line is one of these: what it may have meant is sought when somebody asks. */
    public function nothingTriggered(Pack $pack, string $line): void
    {
        $this->entries[] = [$pack, $line];
    }

    private static function ofNothing(Pack $pack, string $line): Entry
    {
        $mistyped = TriggerMatch::mistyped($pack, $line);

        return $mistyped === null
            ? new Entry(EntryKind::NoTrigger, [])
            : new Entry(EntryKind::Mistyped, ['typed' => $mistyped[0], 'nearest' => $mistyped[1] ?? '']);
    }

    public function triggered(TriggerMatch $triggered): void
    {
        $this->add(EntryKind::Triggered, ['trigger' => $triggered->command->trigger, 'typed' => $triggered->typed]);
    }

    public function said(PhraseMatch $said): void
    {
        $this->add(EntryKind::Phrase, ['trigger' => $said->command->trigger, 'phrase' => $said->phrase->text]);
    }

    public function timer(string $name): void
    {
        $this->add(EntryKind::Timer, ['timer' => $name]);
    }

    public function ran(string $trigger): void
    {
        $this->add(EntryKind::Ran, ['trigger' => $trigger]);
    }

    /** @param  bool  $isLater  whether it is only done once the answer is kept */
    public function did(Message $what, bool $isLater): void
    {
        $this->add($isLater ? EntryKind::AskedFor : EntryKind::Did, ['deed' => $what]);
    }

    public function wentOn(string $trigger): void
    {
        $this->add(EntryKind::WentOn, ['trigger' => $trigger]);
    }

    public function gate(string $name, ?GateRefusal $closed): void
    {
        $closed === null
            ? $this->add(EntryKind::GateOpen, ['gate' => $name])
            : $this->add(EntryKind::GateClosed, [
                'gate' => $name,
                'why' => $closed->reason,
                'opens' => $closed->opens,
            ]);
    }

    /** A refusal was told a moment ago, or too much was answered. */
    public function replyHeldBack(): void
    {
        $this->add(EntryKind::ReplyHeldBack, []);
    }

    public function drew(Command $command, int $index): void
    {
        $of = count($command->responses);
        if ($of > 1) {
            $this->add(EntryKind::Drew, ['number' => (string) ($index + 1), 'of' => (string) $of]);
        }
        $this->reached[Reach::reply($command->id, $command->responses[$index]->id)] = true;
    }

    /**
     * The text whose slots are told of from here on.
     *
     * @param  string  $command  the id of whose it is
     */
    public function saysFrom(string $source, string $command): void
    {
        $this->source = $source;
        $this->command = $command;
    }

    public function slot(Span $span, ?string $text, null|bool|int|string|Value $value): void
    {
        $this->entries[] = [$this->source, $span, $text, $value];
    }

    private static function ofSlot(string $source, Span $span, ?string $text, null|bool|int|string|Value $value): Entry
    {
        $data = self::where($source, $span);

        return $value instanceof Gap
            ? new Entry(EntryKind::SlotGap, $data + ['why' => $value->message()])
            : new Entry(EntryKind::Slot, $data + ['text' => (string) $text]);
    }

    public function lookedUp(
        Lookup $lookup,
        Request $request,
        null|bool|int|string|Value $value,
        ?ReadingOrigin $origin,
    ): void {
        $this->entries[] = new LookedUp($lookup, $request, $value, $origin);
        if ($value instanceof Gap) {
            $this->reached[Reach::unanswered($this->command, $lookup->name)] = true;
        }
    }

    public function choice(Span $span, bool $holds): void
    {
        $this->entries[] = [$this->source, $span, $holds];
        $this->places[] = [$this->command, $this->source, $span, $holds];
    }

    public function took(Span $span): void
    {
        $this->places[] = [$this->command, $this->source, $span, true];
    }

    private static function ofChoice(string $source, Span $span, bool $holds): Entry
    {
        return new Entry(EntryKind::Choice, self::where($source, $span) + ['holds' => $holds ? 'yes' : 'no']);
    }

    /** @return array{slot: string, from: string, to: string} */
    private static function where(string $source, Span $span): array
    {
        return [
            'slot' => (new Source($source))->slice($span),
            'from' => (string) $span->from,
            'to' => (string) $span->to,
        ];
    }

    /** @param  list<Change>  $changes */
    public function changed(array $changes): void
    {
        foreach ($changes as $change) {
            if ($change->isAuthored()) {
                $this->add(EntryKind::Changed, ChangePresenter::change($change));
            }
        }
    }

    public function failed(EvaluationFailure $failed): void
    {
        $this->add(EntryKind::Failed, ['code' => $failed->reason, 'why' => $failed->message()]);
    }

    public function fitted(Message $note): void
    {
        $this->add(EntryKind::Fitted, ['note' => $note]);
    }

    /** @return Entry|null why nothing was triggered; null where something was */
    public function silence(): ?Entry
    {
        foreach ($this->entries() as $entry) {
            if (in_array($entry->kind, [EntryKind::Mistyped, EntryKind::NoTrigger, EntryKind::Talker], true)) {
                return $entry;
            }
        }

        return null;
    }

    /** @param  array<string, string|Message>  $data */
    private function add(EntryKind $kind, array $data): void
    {
        $this->entries[] = new Entry($kind, $data);
    }
}
