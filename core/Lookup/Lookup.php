<?php

declare(strict_types=1);

namespace SilverParrot\Lookup;

use SilverParrot\Lookup\Address\AddressTemplate;
use SilverParrot\Lookup\Parameters\Parameter;
use SilverParrot\Lookup\Paths\AnswerFormat;
use SilverParrot\Source\Fold;

/** A web source: an address with parameters, how its answer is written, and the readings taken from it. */
final readonly class Lookup
{
    /** Stands for what nobody is shown. */
    public const SECRET = '•••';

    /** Readings of one. */
    public const READINGS = 100;

    public string $id;

    public AddressTemplate $address;

    /** @var array<string, Parameter> by folded name */
    public array $parameters;

    /** @var array<string, Reading> by folded name */
    public array $readings;

    /**
     * @param  list<Parameter>  $parameters
     * @param  list<Reading>  $readings
     * @param  list<Header>  $headers
     */
    public function __construct(
        public string $name,
        string $address,
        array $parameters = [],
        array $readings = [],
        public AnswerFormat $format = AnswerFormat::Json,
        public array $headers = [],
        public Keep $keep = new Keep,
        string $id = '',
    ) {
        $this->id = $id === '' ? $name : $id;
        $this->address = new AddressTemplate($address);
        $this->parameters = array_column(array_map(
            static fn (Parameter $one): array => [Fold::caseless($one->name), $one],
            $parameters,
        ), 1, 0);
        $this->readings = array_column(array_map(
            static fn (Reading $one): array => [Fold::caseless($one->name), $one],
            $readings,
        ), 1, 0);
    }

    /**
     * The same for whoever looks on: no secret stands in it.
     *
     * @param  array<string, string>  $typed  by name
     */
    public function addressShown(array $typed): string
    {
        $secret = array_filter($this->parameters, static fn (Parameter $one): bool => $one->isSecret);
        $address = $this->addressWith($typed, array_fill_keys(array_keys($secret), self::SECRET));

        return is_string($address)
            ? str_replace(rawurlencode(self::SECRET), self::SECRET, $address)
            : $this->address->text;
    }

    /** @return list<string> names of the parameters whose values are secret */
    public function secretParameters(): array
    {
        return array_values(array_map(
            static fn (Parameter $one): string => $one->name,
            array_filter($this->parameters, static fn (Parameter $one): bool => $one->isSecret),
        ));
    }

    public function withId(string $id): self
    {
        return new self(
            $this->name,
            $this->address->text,
            array_values($this->parameters),
            array_values($this->readings),
            $this->format,
            $this->headers,
            $this->keep,
            $id,
        );
    }

    /**
     * Its address with these values in it, each as it may be.
     *
     * @param  array<string, string>  $typed  by name
     * @param  array<string, string>  $secrets  the values of those that are secret, by name
     * @return string|Parameter the parameter that may not be what it is given
     */
    public function addressWith(array $typed, array $secrets = []): string|Parameter
    {
        $values = [];
        foreach ($this->parameters as $folded => $parameter) {
            $given = $parameter->isSecret ? $secrets : $typed;
            $value = $parameter->admitted($given[$parameter->name] ?? $given[$folded] ?? '');
            if ($value === null) {
                return $parameter;
            }
            if ($value !== '') {
                $values[$parameter->name] = $value;
            }
        }

        return $this->address->filled($values);
    }
}
