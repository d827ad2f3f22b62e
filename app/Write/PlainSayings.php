<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Storage\MemoryRows;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\Gates\Enabled;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\SaidNow;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Value\Moment;

/**
 * What commands would say now to somebody without any level who types nothing behind the trigger: the first reply that
 * is for everybody. Nothing of it is kept.
 */
final readonly class PlainSayings
{
    /** What cannot be told of a text alone: it hangs on the line, on other commands, or on what was done before it. */
    private const OF_THE_LINE = ['trigger', 'message', 'commands', 'outcome'];

    public function __construct(private MemoryRows $memory)
    {
    }

    /**
     * @param  Pack  $pack  what can be named
     * @param  array<int, Command>  $commands
     * @return array<int, string> by the same keys; those that would say nothing are left out
     */
    public function of(Channel $channel, Pack $pack, array $commands, ResponseCache $prepared): array
    {
        $texts = [];
        foreach ($commands as $place => $command) {
            $text = self::text($command);
            if ($text !== null && ! self::hangsOnTheLine($prepared, $text)) {
                $texts[$place] = $text;
            }
        }
        $person = CastMember::lowest($pack->cast)?->person()
            ?? Person::known('', 'viewer', 'viewer', Levels::of());
        $said = (new SaidNow(
            $pack,
            $this->memory->copy($channel)->withDetailsOf($pack),
            $channel->profile(),
            $channel->seed,
            $prepared,
        ))->to($person, '', $texts, Moment::of(now()));

        return array_filter($said, is_string(...));
    }

    private static function text(Command $command): ?string
    {
        foreach ($command->responses as $response) {
            $isForAll = $response->gates->get(Enabled::class)->isOn()
                && $response->gates->get(ForLevels::class)->neverCloses();
            if ($isForAll && $response->isPlain()) {
                return $response->text();
            }
        }

        return null;
    }

    private static function hangsOnTheLine(ResponseCache $prepared, string $text): bool
    {
        foreach ($prepared->response($text)->namedPlaces() as $named) {
            if (in_array(explode('.', $named)[0], self::OF_THE_LINE, true)) {
                return true;
            }
        }

        return false;
    }
}
