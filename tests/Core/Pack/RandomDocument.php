<?php

declare(strict_types=1);

namespace Tests\Core\Pack;

use Random\Randomizer;

/** Documents that a JSON Schema allows, drawn by luck: whatever the schema describes is drawn sooner or later. */
final class RandomDocument
{
    private const STRINGS = [
        '', 'plain', '[caller] & "quotes" \\ /', "line\nbreak\t", '😀 é 潮', '<b>', ' ends ', '0', 'null', '{"a":1}',
        'planks', 'vip', 'Moderator', 'follower', 'en', 'pl', 'pt-BR', '!tide', 'data:image/png;base64,iVBORw0KGgo=',
    ];

    /** What a schema says nothing of, by the last part of its path. */
    private const OF_A_KIND = [
        'address' => ['https://tides.cove.org/{port}', 'http://a.org/x{?lang,n3}', 'https://b.org'],
        'path' => ['a.b[0]', 'x', 'td', '//a', 'line 3'],

        'followed' => ['2026-11-25T09:00:00Z', '2026-11-25'],
        'on' => ['mon', 'sun', '2026-12-24'],
        'days_off' => ['2026-12-25', '2027-01-01'],
        'zone' => ['UTC', 'Europe/London', 'Pacific/Chatham'],
        'at' => ['19:30', '2026-11-25T09:00:00Z', '1999-12-31T23:59:59.123Z'],
        'from' => ['08:30', '2026-12-01', '2026-12-01T19:30', 'words', 'lookup.find.number'],
        'to' => ['23:00', '08:30', '00:00'],
        'until' => ['2026-12-24', '2026-12-24T18:00'],
        'snoozed' => ['2026-11-25T09:00:00Z', '1999-12-31T23:59:59.123Z'],
        'key' => ['counter', 'list', 'field', 'category:Planking', 'viewer:1', ''],
    ];

    /** Of which no two are the same. */
    private const TOLD_APART = ['id', 'name', 'trigger', 'aliases', 'word', 'field', 'login'];

    /** @var array<string, array<string, mixed>> by file */
    private array $schemas = [];

    private int $count = 0;

    public function __construct(private readonly Randomizer $random, private readonly string $folder)
    {
    }

    /** @return array<string, mixed> */
    public function of(string $file): array
    {
        $made = $this->make($this->schema($file), $file, '');

        return is_array($made) ? $made : [];
    }

    /** @return list<string> the path of each property that it can have, "commands/*\/trigger" */
    public function paths(string $file): array
    {
        $paths = [];
        $this->walk($this->schema($file), $file, '', $paths);

        return array_keys($paths);
    }

    /**
     * @param  array<string, mixed>  $schema
     * @param  array<string, true>  $paths
     */
    private function walk(array $schema, string $file, string $path, array &$paths): void
    {
        [$schema, $file] = $this->resolved($schema, $file);
        foreach (self::parts($schema['properties'] ?? []) as $name => $inside) {
            $paths["$path$name"] = true;
            $this->walk($inside, $file, "$path$name/", $paths);
        }
        foreach ([...self::parts($schema['oneOf'] ?? []), ...self::parts([$schema['items'] ?? null])] as $inside) {
            $this->walk($inside, $file, "$path*/", $paths);
        }
    }

    /** @param  array<string, mixed>  $schema */
    private function make(array $schema, string $file, string $at): mixed
    {
        [$schema, $file] = $this->resolved($schema, $file);
        if (array_key_exists('const', $schema)) {
            return $schema['const'];
        }
        if (is_array($schema['enum'] ?? null)) {
            return $this->one(array_values($schema['enum']));
        }
        $choices = self::parts($schema['oneOf'] ?? $schema['anyOf'] ?? []);
        if ($choices !== [] && ! isset($schema['properties'])) {
            return $this->make($this->one(array_values($choices)), $file, $at);
        }
        $types = (array) ($schema['type'] ?? ['string', 'integer', 'boolean', 'null']);

        return match ($this->one(array_values($types))) {
            'object' => $this->object($schema, $file, $choices),
            'array' => $this->items($schema, $file, $at),
            'integer', 'number' => $this->random->getInt(
                max(-20, self::whole($schema['minimum'] ?? null, -20)),
                min(self::whole($schema['maximum'] ?? null, 20), 20),
            ),
            'boolean' => $this->random->getInt(0, 1) === 1,
            'null' => null,
            default => $this->string($schema, $at),
        };
    }

    /**
     * @param  array<string, mixed>  $schema
     * @param  array<array-key, array<string, mixed>>  $choices
     * @return array<string, mixed>|\stdClass
     */
    private function object(array $schema, string $file, array $choices): array|\stdClass
    {
        $required = (array) ($schema['required'] ?? []);
        $left = [];
        if ($choices !== []) {
            $chosen = (array) ($this->one(array_values($choices))['required'] ?? []);
            $required = [...$required, ...$chosen];
            $left = isset($schema['anyOf']) ? [] : array_diff(array_merge(...array_values(array_map(
                static fn (array $one): array => (array) ($one['required'] ?? []),
                $choices,
            ))), $chosen);
        }
        $object = [];
        foreach (self::parts($schema['properties'] ?? []) as $name => $inside) {
            $isWanted = in_array($name, $required, true) || $this->random->getInt(0, 2) > 0;
            if ($isWanted && ! in_array($name, $left, true)) {
                $object[$name] = $this->make($inside, $file, (string) $name);
            }
        }
        foreach (self::parts($schema['dependentRequired'] ?? []) as $name => $others) {
            if (array_diff($others, array_keys($object)) !== []) {
                unset($object[$name]);
            }
        }
        $more = is_array($schema['additionalProperties'] ?? null) ? self::parts([$schema['additionalProperties']]) : [];
        foreach ($more === [] ? [] : range(1, $this->random->getInt(1, 2)) as $number) {
            $object["n$number"] = $this->make($more[0], $file, 'more');
        }

        return $object === [] ? new \stdClass : $object;
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return list<mixed>
     */
    private function items(array $schema, string $file, string $at): array
    {
        $least = self::whole($schema['minItems'] ?? null, 0);
        $count = $this->random->getInt($least, min(self::whole($schema['maxItems'] ?? null, 3), max(3, $least)));
        $inside = self::parts([$schema['items'] ?? null])[0] ?? [];

        return array_map(fn (): mixed => $this->make($inside, $file, $at), $count === 0 ? [] : range(1, $count));
    }

    /** @param  array<string, mixed>  $schema */
    private function string(array $schema, string $at): string
    {
        $pattern = is_string($schema['pattern'] ?? null) ? "\x01{$schema['pattern']}\x01u" : '~~';
        $fits = static fn (string $one): bool => preg_match($pattern, $one) === 1
            && mb_strlen($one) >= self::whole($schema['minLength'] ?? null, 0)
            && mb_strlen($one) <= self::whole($schema['maxLength'] ?? null, 100);
        $text = $this->one(array_values(array_filter(self::OF_A_KIND[$at] ?? self::STRINGS, $fits)));
        $apart = $text.'x'.$this->count++;

        return in_array($at, self::TOLD_APART, true) && $fits($apart) ? $apart : $text;
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array{array<string, mixed>, string} the schema with what it refers to, and the file that it stands in
     */
    private function resolved(array $schema, string $file): array
    {
        if (! is_string($schema['$ref'] ?? null)) {
            return [$schema, $file];
        }
        [$other, $pointer] = explode('#', $schema['$ref'], 2) + [1 => ''];
        $other = $other === '' ? $file : $other;
        $found = $this->schema($other);
        foreach (array_filter(explode('/', $pointer)) as $part) {
            $found = self::parts($found)[$part] ?? [];
        }
        [$found] = $this->resolved($found, $other);
        // What stands beside a reference holds as well. References of what is fetched are written out, so that one file
        // is enough.
        $properties = self::parts($schema['properties'] ?? []) + array_map(
            static fn (array $one): array => self::absolute($one, $other),
            self::parts($found['properties'] ?? []),
        );
        unset($schema['$ref']);

        return [
            ($properties === [] ? [] : ['properties' => $properties]) + $schema + self::absolute($found, $other),
            $file,
        ];
    }

    /**
     * @param  array<array-key, mixed>  $schema
     * @return array<array-key, mixed> its references with the file that they lead to
     */
    private static function absolute(array $schema, string $file): array
    {
        foreach ($schema as $key => $value) {
            if ($key === '$ref' && is_string($value) && str_starts_with($value, '#')) {
                $schema[$key] = $file.$value;
            } elseif (is_array($value)) {
                $schema[$key] = self::absolute($value, $file);
            }
        }

        return $schema;
    }

    /** @return array<string, mixed> */
    private function schema(string $file): array
    {
        /** @var array<string, mixed> $read */
        $read = $this->schemas[$file] ??= json_decode((string) file_get_contents("{$this->folder}/$file"), true);

        return $read;
    }

    /** @return array<array-key, array<string, mixed>> those of the values that are schemas; true allows anything */
    private static function parts(mixed $of): array
    {
        $parts = [];
        foreach (is_array($of) ? $of : [] as $name => $one) {
            if (is_array($one) || $one === true) {
                /** @var array<string, mixed> $inside */
                $inside = is_array($one) ? $one : [];
                $parts[$name] = $inside;
            }
        }

        return $parts;
    }

    private static function whole(mixed $value, int $else): int
    {
        return is_int($value) ? $value : $else;
    }

    /**
     * @template T
     *
     * @param  list<T>  $of
     * @return T
     */
    private function one(array $of): mixed
    {
        return $of[$this->random->getInt(0, count($of) - 1)];
    }
}
