<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Outline;

/** One place of an answer, with the way to it. */
final readonly class OutlineNode
{
    /**
     * @param  string  $label  what it is called where it stands: a key, a tag, a number
     * @param  string|null  $value  null for what only holds others
     * @param  string  $kind  "text", "number", "yes_no", "nothing"; empty for what only holds others
     * @param  string  $path  the way to it; empty where there is none
     * @param  list<self>  $inside
     */
    public function __construct(
        public string $label,
        public ?string $value,
        public string $kind,
        public string $path,
        public array $inside = [],
    ) {
    }

    /** @return list<self> it and all inside */
    public function all(): array
    {
        return [$this, ...array_merge([], ...array_map(static fn (self $one): array => $one->all(), $this->inside))];
    }

    /** @return array{string, string|null, string, string, list<array<array-key, mixed>>} to be sent elsewhere */
    public function kept(): array
    {
        return [
            $this->label,
            $this->value,
            $this->kind,
            $this->path,
            array_map(static fn (self $one): array => $one->kept(), $this->inside),
        ];
    }

    /** @return self|null null for what was not kept so */
    public static function fromKept(mixed $kept): ?self
    {
        if (! is_array($kept) || ! array_is_list($kept) || count($kept) !== 5) {
            return null;
        }
        [$label, $value, $kind, $path, $inside] = $kept;

        return is_string($label) && is_string($kind) && is_string($path) && is_array($inside)
            ? new self(
                $label,
                is_string($value) ? $value : null,
                $kind,
                $path,
                array_values(array_filter(array_map(self::fromKept(...), $inside))),
            )
            : null;
    }
}
