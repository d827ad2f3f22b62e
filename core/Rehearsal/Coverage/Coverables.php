<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Coverage;

use SilverParrot\Hearing\Gates\Enabled;
use SilverParrot\Hearing\Gates\GateSetting;
use SilverParrot\Hearing\Gates\GateSettings;
use SilverParrot\Hearing\Gates\PhraseGate;
use SilverParrot\Hearing\Gates\WhereTyped;
use SilverParrot\Hearing\Trace\Reach;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\WeightedText;
use SilverParrot\Response\Branches;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Choice;
use SilverParrot\Response\Syntax\Coalesce;
use SilverParrot\Response\Syntax\Either;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Filtered;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Response\Vocabulary\HandlesGaps;
use SilverParrot\Source\Source;
use SilverParrot\Source\Span;

/** All that a command can come to: its replies, branches, fallbacks, drawn items, look-ups that fail, closed gates. */
final readonly class Coverables
{
    private function __construct(private Command $command, private Pack $pack, private ResponseCache $prepared)
    {
    }

    /** @return list<Coverable> in the order of its texts, then what is of the whole command */
    public static function of(
        Command $command,
        Pack $pack,
        ResponseCache $prepared = new ResponseCache,
    ): array {
        $of = new self($command, $pack, $prepared);
        if (! $command->isOn()) {
            return $of->gates([$command->gates->get(Enabled::class)]);
        }
        $all = $of->replies();
        $whole = [];
        foreach ($command->sources() as $place => $text) {
            foreach ($of->inText($place, $text) as $one) {
                // A list or a look-up that stands in several texts is one thing.
                $one->span === null ? $whole[$one->keys[0]] = $one : $all[] = $one;
            }
        }

        return [...$all, ...array_values($whole), ...$of->gates(GateSettings::all($command->gates)), ...$of->phrases()];
    }

    /** @return list<Coverable> */
    private function replies(): array
    {
        $several = count($this->command->responses) > 1;
        $replies = [];
        foreach ($this->command->responses as $index => $response) {
            $replies[] = new Coverable(
                CoverableKind::Reply,
                [Reach::reply($this->command->id, $response->id)],
                $several ? (string) ($index + 1) : '',
                array_key_first(self::under($this->command->sources(), "responses/$index/")) ?? '',
            );
        }

        return $replies;
    }

    /**
     * @param  array<string, string>  $sources
     * @return array<string, string>
     */
    private static function under(array $sources, string $place): array
    {
        return array_filter(
            $sources,
            static fn (string $one): bool => str_starts_with($one, $place),
            ARRAY_FILTER_USE_KEY,
        );
    }

    /** @return iterable<Coverable> */
    private function inText(string $place, string $text): iterable
    {
        $response = $this->prepared->response($text);
        $source = new Source($text);
        foreach (Part::all($response->parts) as $part) {
            if ($part instanceof Choice) {
                yield from $this->branches($part, $place, $source);
            }
        }
        foreach (Part::expressions($response->parts) as $one) {
            foreach (self::taken($one) as [$kind, $span]) {
                yield $this->at($kind, $place, $source, $span);
            }
            $whole = $one instanceof Call ? $this->named($one) : null;
            if ($whole !== null) {
                yield $whole;
            }
        }
    }

    /** @return iterable<Coverable> */
    private function branches(Choice $choice, string $place, Source $source): iterable
    {
        $last = null;
        foreach ($choice->branches as $branch) {
            yield $this->at(CoverableKind::Branch, $place, $source, $last = $branch->span);
        }
        if ($last !== null) {
            $else = Branches::elseBehind($source->text, $last->to);
            yield new Coverable(
                CoverableKind::Otherwise,
                [Reach::place($this->command->id, $source->text, $last, false)],
                $source->slice($last),
                $place,
                $else ?? $last,
            );
        }
    }

    /** @return list<array{CoverableKind, Span}> */
    private static function taken(Expression $of): array
    {
        return match (true) {
            $of instanceof Coalesce => [[CoverableKind::Fallback, $of->right->span()]],
            $of instanceof Filtered && $of->filter instanceof HandlesGaps && isset($of->arguments[0]) => [
                [CoverableKind::Fallback, $of->arguments[0]->span()],
            ],
            $of instanceof Either => array_map(
                static fn (Expression $one): array => [CoverableKind::Option, $one->span()],
                $of->options,
            ),
            default => [],
        };
    }

    private function at(CoverableKind $kind, string $place, Source $source, Span $span): Coverable
    {
        return new Coverable(
            $kind,
            [Reach::place($this->command->id, $source->text, $span)],
            $source->slice($span),
            $place,
            $span,
        );
    }

    private function named(Call $call): ?Coverable
    {
        [$kind, $name] = explode('.', $call->place(), 2) + [1 => ''];
        $list = $kind === 'list' && $call->operands === [] && ! isset($call->path[2])
            ? $this->pack->lists[$name] ?? null
            : null;
        if ($list !== null && $list->items !== []) {
            return new Coverable(
                CoverableKind::Items,
                array_map(static fn (WeightedText $one): string => Reach::item($list->id, $one->id), $list->items),
                $list->name,
            );
        }
        $lookup = $kind === 'lookup' ? $this->pack->lookups[$name] ?? null : null;

        return $lookup === null ? null : new Coverable(
            CoverableKind::Unanswered,
            [Reach::unanswered($this->command->id, $lookup->name)],
            $lookup->name,
        );
    }

    /** @return list<Coverable> of phrases that have a cooldown of their own */
    private function phrases(): array
    {
        foreach ($this->command->triggers->phrases as $phrase) {
            if ($phrase->cooldown > 0) {
                $name = (new PhraseGate($phrase))->name();

                return [new Coverable(CoverableKind::Closed, [Reach::closed($this->command->id, $name)], $name)];
            }
        }

        return [];
    }

    /**
     * @param  list<GateSetting>  $settings
     * @return list<Coverable>
     */
    private function gates(array $settings): array
    {
        $gates = [];
        foreach ($settings as $setting) {
            // What is whispered sets no phrase off.
            if ($setting instanceof WhereTyped && $this->command->triggers->isNameOnly) {
                continue;
            }
            foreach ($setting->closable($this->command->gates) as $gate) {
                $gates[$gate->name()] = new Coverable(
                    CoverableKind::Closed,
                    [Reach::closed($this->command->id, $gate->name())],
                    $gate->name(),
                );
            }
        }

        return array_values($gates);
    }
}
