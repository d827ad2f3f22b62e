<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Hearing\Service\ServiceField;

/** The stream gets another title. */
final class SetTitle extends ServiceDeed
{
    public static function key(): string
    {
        return 'set title';
    }

    public function inputs(): array
    {
        return ['text' => '[words]'];
    }

    protected function field(): ServiceField
    {
        return ServiceField::Title;
    }

    protected function value(array $with): string
    {
        return trim($with['text']);
    }

    protected function refusal(array $with): ?ActionDone
    {
        return self::line(trim($with['text']));
    }
}
