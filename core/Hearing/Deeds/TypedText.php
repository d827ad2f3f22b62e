<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Checks\CheckEnvironment;
use SilverParrot\Checks\Checks;
use SilverParrot\Pack\Command;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;

/** Whether what somebody typed in the chat may be a response. */
final class TypedText
{
    /** @return ActionDone|null a refusal where it may not */
    public static function refusal(string $text, Command $command, DeedScene $scene): ?ActionDone
    {
        if (Fold::isBlank($text)) {
            return ActionDone::refused('no-text');
        }
        if (mb_strlen($text) > Limits::SOURCE) {
            return ActionDone::refused('too-long', ['most' => Limits::SOURCE]);
        }
        $prepared = new ResponseCache;
        $response = $prepared->response($text);
        $looksUp = array_filter(
            $response->namedPlaces(),
            static fn (string $one): bool => str_starts_with($one, 'lookup.'),
        );
        $rules = $scene->pack->fromChat;
        if ($scene->by === null) {
            return ActionDone::refused('nobody-asks');
        }
        if ($response->changedPlaces() !== [] && ! $rules->letsChangeMemory($scene->by)) {
            return ActionDone::refused('no-verbs');
        }
        if ($looksUp !== [] && ! $rules->letsLookUp($scene->by)) {
            return ActionDone::refused('no-look-ups');
        }
        foreach (Checks::ofCommand($command, $scene->pack, new CheckEnvironment, $prepared) as $finding) {
            if ($finding->isError()) {
                return self::found($finding);
            }
        }

        return null;
    }

    private static function found(Finding $finding): ActionDone
    {
        return ActionDone::refused('finding', ['text' => trim($finding->sentence().' '.$finding->mend())]);
    }
}
