<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Hearing\Service\ServiceField;

/** A moment of the recording is marked, so that it is found again. */
final class MarkMoment extends ServiceDeed
{
    public static function key(): string
    {
        return 'mark moment';
    }

    public function inputs(): array
    {
        return ['text' => '[words]'];
    }

    public function gives(): array
    {
        return ['name', 'after'];
    }

    protected function field(): ServiceField
    {
        return ServiceField::Mark;
    }

    protected function value(array $with): string
    {
        return trim($with['text']);
    }

    protected function refusal(array $with): ?ActionDone
    {
        $text = trim($with['text']);

        return $text === '' ? null : self::line($text);
    }
}
