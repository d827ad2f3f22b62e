<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Chat\Voice;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;
use SilverParrot\Source\Span;

/** An emote that the account which speaks may not use. Silent on what the streamer says, who may use all. */
final readonly class EmoteNotForThem extends AbstractCheck
{
    public function code(): string
    {
        return 'emote-not-for-them';
    }

    public function severity(): Severity
    {
        return Severity::Note;
    }

    public function sentence(): string
    {
        return '“{text}” is for {needs}, and the parrot is none of them.';
    }

    public function mend(): string
    {
        return 'Let the streamer say it, or take another.';
    }

    public function reason(): string
    {
        return 'Where the account may not use it, the chat shows its letters.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            $isByTheParrot = $text->command->delivery->voice === Voice::Parrot && $at->pack->emotes !== [];
            foreach ($isByTheParrot ? $text->literals() : [] as [$literal, $from]) {
                foreach ($at->pack->emotes as $emote) {
                    $offset = $emote->isForTheParrot() ? false : strpos(" $literal ", " {$emote->word} ");
                    if ($offset !== false) {
                        $start = $from + mb_strlen(substr($literal, 0, $offset));
                        $findings[] = new Finding($this, new Span($start, $start + strlen($emote->word)), $text->at, [
                            'text' => $emote->word,
                            'needs' => $emote->levels->inWords(),
                        ]);
                    }
                }
            }
        }

        return $findings;
    }
}
