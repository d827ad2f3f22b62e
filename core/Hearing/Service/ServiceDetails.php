<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Service;

use SilverParrot\Value\Moment;

/** What the service says of a channel. */
final readonly class ServiceDetails
{
    /**
     * @param  list<string>  $tags
     * @param  list<string>  $categories  that it knows; empty where it does not tell
     */
    public function __construct(
        public string $title = '',
        public string $category = '',
        public array $tags = [],
        public array $categories = [],
        public bool $isLive = false,
        public ?Moment $started = null,
    ) {
    }

    /** @param  array<string, mixed>  $details  by name, as readings have them: lists with a line for each */
    public static function of(array $details): self
    {
        $text = static fn (string $name): string => is_string($details[$name] ?? null) ? $details[$name] : '';

        return new self(
            $text('title'),
            $text('category'),
            self::lines($text('tags')),
            self::lines($text('categories')),
            ($details['live'] ?? null) === true,
            Moment::fromIso($text('started')),
        );
    }

    public function value(ServiceField $field): string
    {
        return match ($field) {
            ServiceField::Title => $this->title,
            ServiceField::Category => $this->category,
            ServiceField::Tags => implode("\n", $this->tags),
            ServiceField::Mark => '',
        };
    }

    /** @return list<string> */
    public static function lines(string $text): array
    {
        return $text === '' ? [] : explode("\n", $text);
    }
}
