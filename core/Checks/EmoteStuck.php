<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;
use SilverParrot\Source\Span;

/** The word of an emote with something stuck to it: a sign, a letter, a slot. Silent where it stands between spaces. */
final readonly class EmoteStuck extends AbstractCheck
{
    public function code(): string
    {
        return 'emote-stuck';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return '“{text}” is an emote only with spaces around it.';
    }

    public function mend(): string
    {
        return 'Put a space between.';
    }

    public function reason(): string
    {
        return 'A chat shows its letters then, and not its picture.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        $words = array_column($at->pack->emotes, 'word', 'word');
        foreach ($words === [] ? [] : $at->said() as $text) {
            $segments = $text->segments();
            foreach ($segments as $index => [$literal, $isSlot, $from]) {
                preg_match_all('/[A-Za-z0-9_]{2,40}/', $isSlot ? '' : $literal, $found, PREG_OFFSET_CAPTURE);
                foreach ($found[0] as [$word, $offset]) {
                    $end = $offset + strlen($word);
                    $touchesSlot =
                        ($offset === 0 && isset($segments[$index - 1]))
                        || ($end === strlen($literal) && isset($segments[$index + 1]));
                    $before = $offset === 0 ? ' ' : $literal[$offset - 1];
                    $after = $literal[$end] ?? ' ';
                    if (isset($words[$word]) && ($touchesSlot || trim($before.$after) !== '')) {
                        $start = $from + mb_strlen(substr($literal, 0, $offset));
                        $needsBefore = trim($before) !== '' || ($offset === 0 && isset($segments[$index - 1]));
                        $needsAfter =
                            trim($after) !== '' || ($end === strlen($literal) && isset($segments[$index + 1]));
                        $findings[] = new Finding(
                            $this,
                            new Span($start, $start + strlen($word)),
                            $text->at,
                            ['text' => $word],
                            ($needsBefore ? ' ' : '').$word.($needsAfter ? ' ' : ''),
                        );
                    }
                }
            }
        }

        return $findings;
    }
}
