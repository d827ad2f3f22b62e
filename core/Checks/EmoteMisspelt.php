<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Pack\Emote;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;
use SilverParrot\Source\Span;
use SilverParrot\Source\Suggestions;

/**
 * A word that is almost an emote: in other letters of case, or a slip away from one. Silent on words of fewer than five
 * letters, on emotes themselves, and where the word is one of another emote.
 */
final readonly class EmoteMisspelt extends AbstractCheck
{
    private const SHORTEST = 5;

    public function code(): string
    {
        return 'emote-misspelt';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return '“{text}” looks like a misspelt emote.';
    }

    public function mend(): string
    {
        return 'Write “{nearest}” if that is meant.';
    }

    public function reason(): string
    {
        return 'Emotes are shown only where they are written letter for letter.';
    }

    public function look(CheckContext $at): array
    {
        $words = array_column($at->pack->emotes, 'word', 'word');
        $findings = [];
        foreach ($words === [] ? [] : $at->texts as $text) {
            foreach ($text->literals() as [$literal, $from]) {
                preg_match_all('/\S++/u', $literal, $found, PREG_OFFSET_CAPTURE);
                foreach ($found[0] as [$word, $offset]) {
                    $nearest =
                        isset($words[$word]) || strlen($word) < self::SHORTEST || ! Emote::isWord($word)
                            ? null
                            : Suggestions::to($word, array_values($words), 1);
                    if ($nearest !== null) {
                        $start = $from + mb_strlen(substr($literal, 0, $offset));
                        $findings[] = new Finding(
                            $this,
                            new Span($start, $start + strlen($word)),
                            $text->at,
                            ['text' => $word, 'nearest' => $nearest],
                            $nearest,
                        );
                    }
                }
            }
        }

        return $findings;
    }
}
