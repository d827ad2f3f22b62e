<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Quote;
use SilverParrot\Memory\Reads;
use SilverParrot\Value\Number;

/** The quote that somebody names by its number, with a “#” before it or without. */
final class NumberedQuote
{
    /** @return Quote|ActionDone|null a refusal where there is none; null while it is not fetched yet */
    public static function typed(string $typed, DeedScene $scene): Quote|ActionDone|null
    {
        $number = Number::typed(ltrim(trim($typed), '#'));
        if (! is_int($number) || $number < 1) {
            return ActionDone::refused('no-number', ['text' => DeedScene::short($typed)]);
        }
        if (! $scene->knows(Reads::of(Key::quote($number), Key::lastQuote()))) {
            return null;
        }
        $last = $scene->memory->value(Key::lastQuote());

        return Quote::fromRecord($number, $scene->memory->value(Key::quote($number)))
            ?? ActionDone::refused('no-quote', ['name' => (string) $number, 'has' => is_int($last) ? $last : 0]);
    }
}
