<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Hearing\Service\ServiceField;

/** The stream gets another category. Which there are, the service knows. */
final class SetCategory extends ServiceDeed
{
    public static function key(): string
    {
        return 'set category';
    }

    public function inputs(): array
    {
        return ['category' => '[words]'];
    }

    public function gives(): array
    {
        return ['name', 'before', 'after', 'also'];
    }

    protected function field(): ServiceField
    {
        return ServiceField::Category;
    }

    protected function value(array $with): string
    {
        return trim($with['category']);
    }

    protected function refusal(array $with): ?ActionDone
    {
        return self::line(trim($with['category']));
    }
}
