<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Service;

use SilverParrot\Chat\Person;
use SilverParrot\Hearing\Effect;

/** Somebody in the chat sets something at the streaming service. */
final readonly class ServiceChange implements Effect
{
    /** @param  string  $value  tags one a line; for a mark, what it is called */
    public function __construct(
        private string $deed,
        public ServiceField $field,
        public string $value,
        private Person $by,
    ) {
    }

    public function deed(): string
    {
        return $this->deed;
    }

    public function by(): Person
    {
        return $this->by;
    }

    public function toArray(): array
    {
        return [
            'deed' => $this->deed,
            'field' => $this->field->value,
            'value' => $this->value,
            'by' => $this->by->record(),
        ];
    }

    /** @param  array<array-key, mixed>  $kept */
    public static function fromArray(array $kept): ?self
    {
        $field = is_string($kept['field'] ?? null) ? ServiceField::tryFrom($kept['field']) : null;
        $by = Person::fromRecord($kept['by'] ?? null);
        [$deed, $value] = [$kept['deed'] ?? null, $kept['value'] ?? null];

        return $field === null || $by === null || ! is_string($deed) || ! is_string($value)
            ? null
            : new self($deed, $field, $value, $by);
    }
}
