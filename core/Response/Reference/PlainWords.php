<?php

declare(strict_types=1);

namespace SilverParrot\Response\Reference;

use SilverParrot\Pack\Pack;
use SilverParrot\Response\Vocabulary\Vocabulary;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Suggestions;

/** What is meant here by a plain English word: whoever writes “user” or “game” means the caller or the category. */
final class PlainWords
{
    /** Plain English, or of the trade at large. Two words are met in whatever way they are joined. */
    private const MEANT = [
        'caller' => [
            'user', 'username', 'name', 'display name', 'nick', 'nickname', 'person', 'sender', 'author', 'viewer',
            'me',
        ],
        'caller.login' => ['login', 'login name'],
        'caller.level' => ['level', 'role', 'user level'],
        'caller.rank' => ['rank'],
        'caller.points' => ['points', 'balance', 'currency'],
        'target' => ['recipient', 'somebody', 'someone', 'other', 'other person', 'mentioned'],
        'words' => ['text', 'args', 'arguments', 'input', 'query', 'rest', 'content'],
        'word 1' => ['arg', 'argument', 'first word'],
        'message' => ['line', 'full text'],
        'trigger' => ['command'],
        'roll 1 to 100' => ['random', 'dice', 'die', 'chance', 'luck', 'random number', 'percent'],
        'channel.name' => ['streamer', 'host', 'broadcaster', 'owner', 'channel name'],
        'channel.category' => ['game', 'category', 'activity', 'playing'],
        'channel.title' => ['title', 'topic', 'status', 'stream title'],
        'channel.uptime' => ['uptime'],
        'channel.viewers' => ['viewers', 'watching', 'viewer count'],
        'channel.followers' => ['followers', 'follower count'],
        'channel.subscribers' => ['subscribers', 'subscriber count'],
        'now | date "HH:mm"' => ['time', 'clock', 'local time'],
        'today' => ['date', 'day'],
        'commands' => ['command list', 'all commands'],
    ];

    /** @return string|null what to write into a slot for it; null where nobody could say */
    public static function meantBy(string $word, Pack $pack, Vocabulary $vocabulary = new Vocabulary): ?string
    {
        $folded = Fold::caseless($word);
        $letters = (string) preg_replace('/[^\p{L}\p{N}]++/u', '', $folded);
        if (preg_match('/^(?:arg|word)?(\d{1,2})$/D', $letters, $place) === 1) {
            return 'word '.max(1, (int) $place[1]);
        }
        $own = self::named($pack);
        foreach (self::MEANT as $insert => $words) {
            if (in_array($letters, str_replace(' ', '', $words), true)) {
                return isset($own[$letters]) && $insert !== 'caller' ? $own[$letters] : $insert;
            }
        }
        if ($letters === 'count' || $letters === 'counter') {
            return count($pack->counters) === 1 ? 'counter.'.array_values($pack->counters)[0]->name : null;
        }
        $heads = array_filter(
            array_map(strval(...), array_keys($vocabulary->names)),
            static fn (string $head): bool => $vocabulary->names[$head]->standsAlone(),
        );
        $nearest = Suggestions::to($letters, [...array_map(strval(...), array_keys($own)), ...$heads], 1);

        return $nearest === null ? null : $own[$nearest] ?? $nearest;
    }

    /** @return list<string> the plain words for a name, as it is typed */
    public static function for(string $insert): array
    {
        return self::MEANT[$insert] ?? [];
    }

    /** @return array<string, string> what the pack declares, by its name alone: "planks" => "counter.planks" */
    private static function named(Pack $pack): array
    {
        $own = [];
        foreach (['counter' => $pack->counters, 'list' => $pack->lists, 'fact' => $pack->facts] as $head => $all) {
            foreach ($all as $folded => $one) {
                $own[$folded] ??= "$head.{$one->name}";
            }
        }

        return $own;
    }
}
