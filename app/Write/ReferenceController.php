<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Storage\Assembler;
use App\Storage\Definitions\Named\NamedDefinition;
use App\Storage\MemoryRows;
use Illuminate\Http\JsonResponse;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Emote;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\SaidNow;
use SilverParrot\Response\Reference\Reference;
use SilverParrot\Response\Reference\ReferenceEntry;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Moment;

/** All that can be typed into a slot, each with the value that it would have now. */
final readonly class ReferenceController
{
    private const LONGEST_VALUE = 60;

    public function __construct(private Assembler $assembler, private MemoryRows $memory)
    {
    }

    public function __invoke(Channel $channel): JsonResponse
    {
        $pack = $this->assembler->namesAndTriggers($channel);
        $caller = CastMember::lowest($pack->cast)?->person();
        $entries = Reference::of($pack);
        $asked =
            $caller === null
                ? []
                : array_map(
                    static fn (ReferenceEntry $entry): string => "[{$entry->insert}]",
                    array_filter($entries, static fn (ReferenceEntry $entry): bool => $entry->hasValue),
                );
        $now =
            $caller === null
                ? []
                : (new SaidNow(
                    $pack,
                    $this->memory->copy($channel)->withDetailsOf($pack),
                    $channel->profile(),
                    $channel->seed,
                ))->to(
                    $caller,
                    $caller->login,
                    $asked,
                    Moment::of(now()),
                );

        return response()->json([
            ...array_map(
                static fn (ReferenceEntry $entry, int $place): array => [
                    'heading' => $entry->heading,
                    'insert' => $entry->insert,
                    'takes' => $entry->described->takes,
                    'gives' => $entry->gives(),
                    'sentence' => $entry->sentence(),
                    'example' => $entry->described->example,
                    'withNothing' => $entry->described->withNothing,
                    'also' => $entry->also(),
                    'now' => isset($now[$place]) ? mb_substr($now[$place], 0, self::LONGEST_VALUE) : null,
                    'opens' => self::opens($channel, $pack, $entry->insert),
                ],
                $entries,
                array_keys($entries),
            ),
            ...array_map(
                static fn (Emote $emote): array => [
                    'heading' => 'Emotes',
                    'insert' => $emote->word,
                    'takes' => '',
                    'gives' => 'a picture',
                    'sentence' => $emote->levels->isForEveryone()
                        ? 'For everyone.'
                        : "For {$emote->levels->inWords()}.",
                    'example' => $emote->word,
                    'withNothing' => '',
                    'also' => [],
                    'now' => null,
                    'picture' => $emote->picture,
                ],
                $pack->emotes,
            ),
        ]);
    }

    /** @return string|null where the thing of that name is changed; null for what is no thing of the pack */
    private static function opens(Channel $channel, Pack $pack, string $insert): ?string
    {
        [$head, $name] = explode('.', $insert) + [1 => ''];
        $kind = NamedDefinition::prefixed($head);
        $folded = Fold::caseless($name);
        $one = match ($kind?->key()) {
            'facts' => $pack->facts[$folded] ?? null,
            'lists' => $pack->lists[$folded] ?? null,
            'counters' => $pack->counters[$folded] ?? null,
            'occasions' => $pack->occasions[$folded] ?? null,
            'fields' => $pack->fields[$folded] ?? null,
            default => null,
        };

        return $kind === null || $one === null
            ? null
            : route('remember.named.edit', [$channel, $kind->key(), $one->id]);
    }
}
