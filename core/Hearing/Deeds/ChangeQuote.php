<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Memory\KeptQuotes;
use SilverParrot\Memory\Quote;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;

/** A quote says something else; whose it is, and when it was said, stays. */
final class ChangeQuote implements Deed
{
    public static function key(): string
    {
        return 'change quote';
    }

    public function inputs(): array
    {
        return ['number' => '[word 1]', 'text' => '[words 2]'];
    }

    public function gives(): array
    {
        return ['name', 'before', 'after'];
    }

    public function do(array $with, DeedScene $scene): ?ActionDone
    {
        $was = NumberedQuote::typed($with['number'], $scene);
        $text = $with['text'];

        return match (true) {
            ! $was instanceof Quote => $was,
            Fold::isBlank($text) => ActionDone::refused('no-text'),
            mb_strlen($text) > Limits::READING => ActionDone::refused('too-long', ['most' => Limits::READING]),
            default => ActionDone::with([KeptQuotes::become($was->number, new Quote(
                $was->number,
                $text,
                $was->by,
                $was->category,
                $was->date,
                $was->link,
                $was->keptBy,
            ), $scene->memory)], ['name' => (string) $was->number, 'before' => $was->text, 'after' => $text]),
        };
    }
}
