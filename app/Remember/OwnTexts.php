<?php

declare(strict_types=1);

namespace App\Remember;

use App\Models\Channel;
use App\Models\User;
use App\Storage\Definitions\Definition;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Ladders;
use App\Storage\Definitions\LiveAddresses;
use App\Storage\Definitions\Lookups;
use App\Storage\Definitions\Named\Facts;
use App\Storage\Definitions\Named\Lists;
use App\Storage\Definitions\Named\UsedByName;
use App\Storage\Definitions\RefusalReplies;
use App\Storage\Definitions\Timers;
use Closure;
use SilverParrot\Response\Renaming;
use SilverParrot\Response\ResponseCache;

/**
 * What is a response without being a command's: facts and list items that are, what is said of ranks, by timers, and
 * where gates are closed, what live addresses show, where parameters of
 * look-ups come from. What they name, and how they are when it is called otherwise.
 */
final readonly class OwnTexts
{
    /** Parts of a definition that are such texts. */
    private const TEXTS = ['text', 'rises', 'falls', 'shows', 'say', 'words'];

    /** Parts that are lists of such. */
    private const LISTS = ['items', 'responses', 'steps', 'parameters'];

    /** A part that names something without the signs of a response around it. */
    private const OPERAND = 'from';

    public function __construct(private DefinitionHistory $history, private ResponseCache $prepared)
    {
    }

    /** @return array<string, list<string>> by what they name, "counter.planks": "fact.door" */
    public function uses(Channel $channel): array
    {
        $uses = [];
        foreach ($this->texts($channel) as [, , $user, $text]) {
            foreach ($this->prepared->response($text)->namedPlaces() as $place) {
                $uses[$place] = in_array($user, $uses[$place] ?? [], true)
                    ? $uses[$place]
                    : [...$uses[$place] ?? [], $user];
            }
        }

        return $uses;
    }

    /** @return list<array{string, string, string}> what says it, and its text before and after */
    public function renamed(Channel $channel, UsedByName $kind, string $from, string $to): array
    {
        $changed = [];
        foreach ($this->texts($channel) as [, , $user, $text]) {
            $after = Renaming::in($this->prepared->response($text), $kind->heads(), $from, $to);
            if ($after !== $text) {
                $changed[] = [$user, $text, $after];
            }
        }

        return $changed;
    }

    public function rename(Channel $channel, User $by, UsedByName $kind, string $from, string $to): void
    {
        $renamed = fn (string $text): string => Renaming::in(
            $this->prepared->response($text),
            $kind->heads(),
            $from,
            $to,
        );
        $done = [];
        foreach ($this->texts($channel) as [$own, $id, , $text]) {
            if ($renamed($text) === $text || isset($done["{$own->key()} $id"])) {
                continue;
            }
            $done["{$own->key()} $id"] = true;
            $state = self::with($own->read($channel, $id) ?? [], $renamed);
            $this->history->change($channel, $own, $id, $by, null, static fn () => $own->put($channel, $id, $state));
        }
    }

    /**
     * @param  array<array-key, mixed>  $state  of a definition
     * @param  Closure(string): string  $renamed
     * @return array<string, mixed> the same with other texts
     */
    private static function with(array $state, Closure $renamed): array
    {
        $with = [];
        foreach ($state as $part => $value) {
            $with[(string) $part] = match (true) {
                is_string($value) && in_array($part, self::TEXTS, true) => $renamed($value),
                is_string($value) && $part === self::OPERAND => mb_substr($renamed("[$value]"), 1, -1),
                in_array($part, self::LISTS, true) && is_array($value) => array_map(
                    static fn (mixed $item): mixed => is_array($item) ? self::with($item, $renamed) : $item,
                    $value,
                ),
                default => $value,
            };
        }

        return $with;
    }

    /** @return iterable<array{Definition, string, string, string}> kind, subject, what it is called, and text */
    private function texts(Channel $channel): iterable
    {
        foreach ($channel->facts()->where('is_response', true)->get() as $fact) {
            yield [new Facts, $fact->stable_id, "fact.{$fact->name}", $fact->text];
        }
        foreach ($channel->lists()->where('responses', true)->get() as $list) {
            foreach ($list->items()->pluck('text') as $text) {
                yield [new Lists, $list->stable_id, "list.{$list->name}", is_string($text) ? $text : ''];
            }
        }
        foreach ($channel->ladders()->get() as $ladder) {
            yield [new Ladders, $ladder->name, "ranks by {$ladder->name}", $ladder->rises];
            yield [new Ladders, $ladder->name, "ranks by {$ladder->name}", $ladder->falls];
        }
        foreach ($channel->timers()->get() as $row) {
            foreach ($row->timer()->command()->sources() as $text) {
                yield [new Timers, $row->stable_id, "timer {$row->name}", $text];
            }
        }
        foreach ($channel->refusals ?? [] as $text) {
            yield [new RefusalReplies, '', 'replies of closed gates', $text];
        }
        foreach ($channel->lookups()->get() as $row) {
            foreach ($row->lookup()->parameters as $parameter) {
                if ($parameter->from !== '') {
                    yield [new Lookups, $row->stable_id, "lookup.{$row->name}", "[{$parameter->from}]"];
                }
            }
        }
        foreach ($channel->liveAddresses()->get() as $address) {
            yield [new LiveAddresses, (string) $address->id, "live address {$address->id}", $address->shows];
        }
    }
}
