<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Memory\KeptQuotes;
use SilverParrot\Memory\Quote;

/** A quote goes, and its number with it. */
final class DeleteQuote implements Deed
{
    public static function key(): string
    {
        return 'delete quote';
    }

    public function inputs(): array
    {
        return ['number' => '[word 1]'];
    }

    public function gives(): array
    {
        return ['name', 'before'];
    }

    public function do(array $with, DeedScene $scene): ?ActionDone
    {
        $was = NumberedQuote::typed($with['number'], $scene);

        return $was instanceof Quote
            ? ActionDone::with(
                [KeptQuotes::become($was->number, null, $scene->memory)],
                ['name' => (string) $was->number, 'before' => $was->text],
            )
            : $was;
    }
}
