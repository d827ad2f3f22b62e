<?php

declare(strict_types=1);

namespace App\Remember;

use App\Models\Channel;
use App\Models\User;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Named\Facts;
use App\Storage\Definitions\Named\Lists;
use App\Storage\Definitions\Named\NamedDefinition;
use SilverParrot\Response\Renaming;
use SilverParrot\Response\ResponseCache;

/** Facts and list items that are responses themselves: what they name, and as they are when it is called otherwise. */
final readonly class OwnTexts
{
    public function __construct(private DefinitionHistory $history, private ResponseCache $prepared)
    {
    }

    /** @return array<string, list<string>> by what they name, "counter.planks": "fact.door" */
    public function uses(Channel $channel): array
    {
        $uses = [];
        foreach ($this->texts($channel) as [$kind, , $name, $text]) {
            foreach ($this->prepared->response($text)->namedPlaces() as $place) {
                $user = "{$kind->prefix()}.$name";
                $uses[$place] = in_array($user, $uses[$place] ?? [], true)
                    ? $uses[$place]
                    : [...$uses[$place] ?? [], $user];
            }
        }

        return $uses;
    }

    /** @return list<array{string, string, string}> what says it, and its text before and after */
    public function renamed(Channel $channel, NamedDefinition $kind, string $from, string $to): array
    {
        $changed = [];
        foreach ($this->texts($channel) as [$own, , $name, $text]) {
            $after = Renaming::in($this->prepared->response($text), $kind->heads(), $from, $to);
            if ($after !== $text) {
                $changed[] = ["{$own->prefix()}.$name", $text, $after];
            }
        }

        return $changed;
    }

    public function rename(Channel $channel, User $by, NamedDefinition $kind, string $from, string $to): void
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
            $state = $own->read($channel, $id) ?? [];
            if (is_string($state['text'] ?? null)) {
                $state['text'] = $renamed($state['text']);
            }
            if (is_array($state['items'] ?? null)) {
                $state['items'] = array_map(
                    static fn (mixed $item): mixed => is_array($item) && is_string($item['text'] ?? null)
                        ? ['text' => $renamed($item['text'])] + $item
                        : $item,
                    $state['items'],
                );
            }
            $this->history->change($channel, $own, $id, $by, null, static fn () => $own->put($channel, $id, $state));
        }
    }

    /** @return iterable<array{NamedDefinition, string, string, string}> kind, id, name and text */
    private function texts(Channel $channel): iterable
    {
        foreach ($channel->facts()->where('is_response', true)->get() as $fact) {
            yield [new Facts, $fact->stable_id, $fact->name, $fact->text];
        }
        foreach ($channel->lists()->where('responses', true)->get() as $list) {
            foreach ($list->items()->pluck('text') as $text) {
                yield [new Lists, $list->stable_id, $list->name, is_string($text) ? $text : ''];
            }
        }
    }
}
