<?php

declare(strict_types=1);

namespace App\Remember\Lookups;

use App\Web\Secrets;
use Illuminate\Http\Request;
use SilverParrot\Document\Document;
use SilverParrot\Format\LookupFormat;
use SilverParrot\Lookup\Header;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\Parameters\Parameter;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;

/** A look-up as its fields have it, whether or not it makes sense yet. */
final readonly class LookupForm
{
    /** @param  array<string, list<string>>  $problems  by field, as in readings.0.path */
    private function __construct(public Lookup $lookup, public array $problems)
    {
    }

    /** @param  Lookup|null  $was  whose id, and whatever no field shows, it keeps */
    public static function read(Request $request, ?Lookup $was): self
    {
        $typed = [
            'id' => $was->id ?? '',
            'name' => self::text($request->input('name')),
            'address' => self::text($request->input('address')),
            'format' => self::text($request->input('format')) ?: 'json',
            'parameters' => array_map(
                self::parameter(...),
                self::rows($request, 'parameters', 'name'),
            ),
            'headers' => array_map(
                static fn (array $row): array => self::header($row, $was),
                self::rows($request, 'headers', 'name'),
            ),
            'readings' => array_map(
                static fn (array $row): array => self::reading($row, $was),
                self::rows($request, 'readings', 'path'),
            ),
            'keep' => self::keep((array) $request->input('keep'), $was),
        ];
        $document = Document::of(array_filter($typed, static fn (mixed $one): bool => $one !== '' && $one !== []) + [
            'name' => '',
            'address' => '',
        ]);
        $lookup = LookupFormat::read($document);
        $problems = [];
        foreach ($document->findings() as $finding) {
            $field = strtr(ltrim($finding->at, '/'), '/', '.');
            $problems[$field][] = $finding->sentence().' '.$finding->mend();
        }

        return new self($lookup, $problems);
    }

    /** @return array<string, string> what each parameter is tried with */
    public function samples(): array
    {
        return array_map(
            static fn (Parameter $one): string => $one->sample === '' ? $one->default : $one->sample,
            $this->lookup->parameters,
        );
    }

    /**
     * What is typed is kept in the session where it is refused; secrets are not, and are typed once more.
     *
     * @return array<string, mixed> fields in place of those that hold some
     */
    public static function withoutSecrets(Request $request): array
    {
        $without = [];
        foreach (['parameters' => 'sample', 'headers' => 'value'] as $of => $field) {
            foreach ((array) $request->input($of) as $index => $row) {
                $isSecret = is_array($row) && self::text($row['secret'] ?? '') === '1';
                $without[$of][$index] = $isSecret ? [$field => ''] + $row : $row;
            }
        }

        return $without;
    }

    /** @return array<string, string> secrets that were typed, by what they are kept under */
    public static function secrets(Request $request): array
    {
        $secrets = [];
        foreach (self::rows($request, 'parameters', 'name') as $row) {
            [$name, $value] = [self::text($row['name'] ?? ''), self::text($row['sample'] ?? '')];
            if (self::text($row['secret'] ?? '') === '1' && $value !== '' && mb_strlen($value) <= Parameter::LONGEST) {
                $secrets[Secrets::ofParameter($name)] = $value;
            }
        }
        foreach (self::rows($request, 'headers', 'name') as $row) {
            [$name, $value] = [self::text($row['name'] ?? ''), self::text($row['value'] ?? '')];
            if (self::text($row['secret'] ?? '') === '1' && $value !== '' && Header::isValue($value)) {
                $secrets[$name] = $value;
            }
        }

        return $secrets;
    }

    /**
     * @param  array<array-key, mixed>  $row
     * @return array<string, mixed>
     */
    private static function parameter(array $row): array
    {
        $name = self::text($row['name'] ?? '');
        if (self::text($row['secret'] ?? '') === '1') {
            return ['name' => $name, 'secret' => true];
        }
        $longest = self::text($row['longest'] ?? '');

        return ['name' => $name] + TypedRule::read(self::text($row['may'] ?? '')) + array_filter([
            'default' => self::text($row['default'] ?? ''),
            'sample' => self::text($row['sample'] ?? ''),
            'from' => self::text($row['from'] ?? ''),
            'sentence' => self::text($row['sentence'] ?? ''),
            'longest' => ctype_digit($longest) && strlen($longest) < 6 ? (int) $longest : $longest,
        ], static fn (mixed $one): bool => $one !== '');
    }

    /**
     * @param  array<array-key, mixed>  $row
     * @return array<string, mixed>
     */
    private static function header(array $row, ?Lookup $was): array
    {
        $name = self::text($row['name'] ?? '');
        $value = self::text($row['value'] ?? '');
        if (self::text($row['secret'] ?? '') === '1') {
            return ['name' => $name, 'secret' => true];
        }
        foreach ($was->headers ?? [] as $header) {
            // What is secret is not shown, and stays so until another value is typed.
            if ($header->isSecret && $value === '' && Fold::caseless($header->name) === Fold::caseless($name)) {
                return ['name' => $name, 'secret' => true];
            }
        }

        return ['name' => $name, 'value' => $value];
    }

    /**
     * @param  array<array-key, mixed>  $row
     * @return array<string, mixed>
     */
    private static function reading(array $row, ?Lookup $was): array
    {
        $longest = $was->readings[Fold::caseless(self::text($row['name'] ?? ''))]->longest ?? Limits::READING;
        $type = self::text($row['type'] ?? '') ?: 'text';
        $decimals = self::text($row['decimals'] ?? '');
        $missing = array_filter(
            array_map(trim(...), explode(',', self::text($row['missing'] ?? ''))),
            static fn (string $one): bool => $one !== '',
        );
        $own = match ($type) {
            'number' => [
                'unit' => self::text($row['unit'] ?? ''),
                'decimals' => ctype_digit($decimals) ? (int) $decimals : $decimals,
                'decimal_sign' => self::text($row['comma'] ?? '') === '1' ? ',' : '',
            ],
            'moment' => ['format' => self::text($row['format'] ?? ''), 'zone' => self::text($row['zone'] ?? '')],
            default => [],
        };

        return ['name' => self::text($row['name'] ?? ''), 'path' => self::text($row['path'] ?? ''), 'type' => $type]
            + array_filter($own, static fn (mixed $one): bool => $one !== '')
            + ($missing === [] ? [] : ['missing' => array_values($missing)])
            + (self::text($row['noted'] ?? '') === '1' ? ['noted' => true] : [])
            + ($longest === Limits::READING ? [] : ['longest' => $longest]);
    }

    /**
     * @param  array<array-key, mixed>  $typed
     * @return array<string, mixed>
     */
    private static function keep(array $typed, ?Lookup $was): array
    {
        $keep = [];
        foreach (['least', 'most', 'stale', 'ahead'] as $key) {
            // What no field shows stays as it was.
            $before = $key === 'ahead' && $was !== null && $was->keep->ahead > 0 ? (string) $was->keep->ahead : '';
            $value = self::text($typed[$key] ?? $before);
            if ($value !== '') {
                $keep[$key] = ctype_digit($value) && strlen($value) < 9 ? (int) $value : $value;
            }
        }

        return $keep;
    }

    /**
     * @return list<array<array-key, mixed>> those in which something stands
     */
    private static function rows(Request $request, string $of, string $by): array
    {
        $rows = array_filter(
            (array) $request->input($of),
            static fn (mixed $row): bool => is_array($row)
                && (self::text($row['name'] ?? '') !== '' || self::text($row[$by] ?? '') !== ''),
        );
        /** @var list<array<array-key, mixed>> $rows */
        $rows = array_values($rows);

        return $rows;
    }

    private static function text(mixed $typed): string
    {
        return is_string($typed) ? trim($typed) : '';
    }
}
