<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Memory\KeptQuotes;
use SilverParrot\Memory\Quote;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;

/** What somebody said is kept under the next number. */
final class KeepQuote implements Deed
{
    public static function key(): string
    {
        return 'keep quote';
    }

    public function inputs(): array
    {
        return ['text' => '[words]', 'by' => '', 'category' => '[channel.category or ""]'];
    }

    public function gives(): array
    {
        return ['name', 'after'];
    }

    public function do(array $with, DeedScene $scene): ?ActionDone
    {
        if (! $scene->knows(KeptQuotes::reads())) {
            return null;
        }
        $text = $with['text'];
        $number = KeptQuotes::nextNumber($scene->memory);

        return match (true) {
            Fold::isBlank($text) => ActionDone::refused('no-text'),
            mb_strlen($text) > Limits::READING => ActionDone::refused('too-long', ['most' => Limits::READING]),
            default => ActionDone::with(KeptQuotes::keep(new Quote(
                $number,
                $text,
                mb_substr($with['by'], 0, Limits::QUOTE_BY),
                mb_substr($with['category'], 0, Limits::QUOTE_BY),
                $scene->now,
                keptBy: $scene->by->name ?? '',
            ), $scene->memory), ['name' => (string) $number, 'after' => $text]),
        };
    }
}
