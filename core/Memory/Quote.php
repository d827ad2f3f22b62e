<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

use SilverParrot\Value\Moment;
use SilverParrot\Value\Value;

/** Something that somebody said, kept under a number of its own for good. */
final readonly class Quote implements Value
{
    /**
     * @param  string  $by  whose words they are, or what is credited; empty where nobody wrote it down
     * @param  string  $link  an address of whom or what is credited; empty for none
     * @param  string  $keptBy  who kept it; empty where that is not known
     */
    public function __construct(
        public int $number,
        public string $text,
        public string $by = '',
        public string $category = '',
        public ?Moment $date = null,
        public string $link = '',
        public string $keptBy = '',
    ) {
    }

    /** @return array<string, string> as memory keeps it under its number; what is empty is left out */
    public function record(): array
    {
        return array_filter([
            'text' => $this->text,
            'by' => $this->by,
            'category' => $this->category,
            'date' => $this->date?->iso() ?? '',
            'link' => $this->link,
            'kept_by' => $this->keptBy,
        ], static fn (string $part): bool => $part !== '');
    }

    /** @param  null|bool|int|string|array<string, mixed>  $record */
    public static function fromRecord(int $number, null|bool|int|string|array $record): ?self
    {
        $text = static fn (string $key): string => is_array($record) && is_string($record[$key] ?? null)
            ? $record[$key]
            : '';

        return $text('text') === ''
            ? null
            : new self(
                $number,
                $text('text'),
                $text('by'),
                $text('category'),
                Moment::fromIso($text('date')),
                $text('link'),
                $text('kept_by'),
            );
    }
}
