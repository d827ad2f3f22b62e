<?php

declare(strict_types=1);

namespace SilverParrot\Document;

use DateTimeInterface;
use SilverParrot\Source\Finding;
use SilverParrot\Source\FindingKind;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Suggestions;
use SilverParrot\Value\Moment;
use stdClass;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/**
 * One place in a JSON or YAML document. Asking it for something of the wrong kind notes a finding with a JSON Pointer
 * (RFC 6901) and gives a harmless value, so that one reading finds everything that is wrong.
 */
final readonly class Document
{
    /** One to five words. */
    private const TRIGGER = '/^[^\s\p{Z}\p{C}\[\]]++(?: [^\s\p{Z}\p{C}\[\]]++){0,4}$/Du';

    private const NAME = '/^[\p{L}_][\p{L}\p{M}\p{N}_]*+$/Du';

    private function __construct(private mixed $value, public string $pointer, private Findings $findings)
    {
    }

    /** @return self|list<Finding> */
    public static function parse(string $text): self|array
    {
        if (strlen($text) > Limits::PACK) {
            return [new Finding(DocumentError::TooLarge, data: ['limit' => (string) Limits::PACK])];
        }
        $value = json_decode($text, false, Limits::DOCUMENT_NESTING, JSON_BIGINT_AS_STRING);
        if (is_array($value) || $value instanceof stdClass) {
            $twice = DuplicateKeys::in($text);
            if ($twice !== []) {
                return array_map(
                    static fn (array $one): Finding => new Finding(DocumentError::KeyTwice, null, $one[0], [
                        'key' => $one[1],
                    ]),
                    $twice,
                );
            }
        }
        if ($value === null && ! str_starts_with(ltrim($text), '{') && trim($text) !== 'null') {
            try {
                // Built-in tags are read whatever is asked for.
                if (
                    preg_match(
                        '/^(?:[^"\'\n]*[:\-,\[{])?[ \t]*+(!![a-z]{1,20})(?=\s)/mi',
                        $text,
                        $tag,
                        PREG_OFFSET_CAPTURE,
                    ) === 1
                ) {
                    return [
                        new Finding(
                            DocumentError::HasTags,
                            data: [
                                'value' => $tag[1][0],
                                'line' => (string) (substr_count($text, "\n", 0, (int) $tag[1][1]) + 1),
                            ],
                        ),
                    ];
                }
                $value = Yaml::parse(
                    $text,
                    Yaml::PARSE_EXCEPTION_ON_INVALID_TYPE | Yaml::PARSE_DATETIME | Yaml::PARSE_OBJECT_FOR_MAP,
                );
            } catch (ParseException $exception) {
                return [self::notReadable($exception)];
            }
        } elseif ($value === null && json_last_error() === JSON_ERROR_DEPTH) {
            return [new Finding(DocumentError::TooDeep, data: ['limit' => (string) Limits::DOCUMENT_NESTING])];
        } elseif ($value === null && json_last_error() !== JSON_ERROR_NONE) {
            return [new Finding(DocumentError::NotReadable, data: ['why' => json_last_error_msg()])];
        }

        return new self($value, '', new Findings(tellsListsFromObjects: true));
    }

    /** What the library says, where it is not one of the likeliest slips: its own sentence, in short. */
    private static function notReadable(ParseException $exception): Finding
    {
        $why = $exception->getMessage();
        // It shows the whole line, however long that is.
        $line = (string) max(1, $exception->getParsedLine());
        if (str_contains($why, 'nesting depth')) {
            return new Finding(DocumentError::TooDeep, data: ['limit' => (string) Limits::DOCUMENT_NESTING]);
        }
        if (
            preg_match('/to use "(![^"]{0,60})"/', $why, $value) === 1
            || preg_match('/^The reserved indicator "(.)"/u', $why, $value) === 1
        ) {
            return new Finding(DocumentError::NeedsQuotes, data: ['value' => $value[1], 'line' => $line]);
        }
        $near = mb_strpos($why, ' (near ');

        return new Finding(
            DocumentError::NotReadable,
            data: ['why' => rtrim(mb_substr($near === false ? $why : mb_substr($why, 0, $near), 0, 200), '.')],
        );
    }

    /** @param  array<array-key, mixed>  $value  what stands in it, read from its file already */
    public static function of(array $value): self
    {
        return new self($value, '', new Findings);
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        return $this->findings->all;
    }

    /**
     * Says which keys an object may have; every other one is a finding.
     *
     * @param  list<string>  $known
     * @param  list<string>  $required
     */
    public function object(array $known, array $required = []): self
    {
        if (! $this->isObject()) {
            $this->wrongKind('an object');

            return new self([], $this->pointer, $this->findings);
        }
        foreach (array_keys($this->entries()) as $key) {
            if (! in_array((string) $key, $known, true)) {
                $nearest = Suggestions::to((string) $key, $known);
                $this->at((string) $key)->flaw(
                    DocumentError::UnknownKey,
                    ['key' => (string) $key] + ($nearest === null ? [] : ['nearest' => $nearest]),
                );
            }
        }
        foreach ($required as $key) {
            if (! $this->has($key)) {
                $this->flaw(DocumentError::MissingKey, ['key' => $key]);
            }
        }

        return $this;
    }

    /** @param  non-empty-list<int>  $versions  those that can be read */
    public function format(string $format, string $name, array $versions = [1]): self
    {
        if (! $this->isObject() || ($this->entries()['format'] ?? null) !== $format) {
            $this->flaw(DocumentError::WrongFormat, [
                'wanted' => $name,
                'format' => $format,
                'version' => (string) max($versions),
            ]);

            return $this;
        }
        $version = $this->entries()['version'] ?? 'none';
        if (! in_array($version, [...$versions, ...array_map(floatval(...), $versions)], true)) {
            if (is_string($version) && in_array((int) $version, $versions, true) && ctype_digit($version)) {
                $this->at('version')->flaw(DocumentError::VersionAsText, ['known' => $version]);

                return $this;
            }
            $this->at('version')->flaw(DocumentError::WrongVersion, [
                'version' => is_scalar($version) ? (string) $version : '?',
                'known' => (string) max($versions),
            ]);
        }

        return $this;
    }

    public function has(string $key): bool
    {
        return array_key_exists($key, $this->entries());
    }

    public function at(string $key): self
    {
        return new self(
            $this->entries()[$key] ?? null,
            $this->pointer.'/'.strtr($key, ['~' => '~0', '/' => '~1']),
            $this->findings,
        );
    }

    /** @return array<array-key, self> every entry of an object whose keys are the author's own */
    public function each(): array
    {
        if (! $this->isObject()) {
            $this->wrongKind('an object');
        }
        $each = [];
        foreach (array_keys($this->entries()) as $key) {
            $each[$key] = $this->at((string) $key);
        }

        return $each;
    }

    /**
     * @return array<string, self> entries whose keys are names; any other key is a finding, and not lost without a word
     */
    public function entriesOfNames(): array
    {
        $named = [];
        foreach ($this->each() as $key => $value) {
            if (preg_match(self::NAME, (string) $key) === 1) {
                $named[(string) $key] = $value;
            } elseif ($this->isObject()) {
                $value->flaw(DocumentError::NotAName, ['value' => mb_substr((string) $key, 0, 60)]);
            }
        }

        return $named;
    }

    /** @return list<self> */
    public function items(int $most): array
    {
        if (! is_array($this->value) || ! array_is_list($this->value)) {
            $this->wrongKind('a list');

            return [];
        }
        if (count($this->value) > $most) {
            $this->flaw(DocumentError::TooMany, ['limit' => (string) $most]);
        }
        $items = [];
        foreach (array_keys(array_slice($this->value, 0, $most)) as $index) {
            $items[] = new self($this->value[$index], "{$this->pointer}/$index", $this->findings);
        }

        return $items;
    }

    public function text(int $longest = Limits::SOURCE): string
    {
        if ($this->value instanceof DateTimeInterface) {
            $this->flaw(DocumentError::DateNeedsQuotes, []);

            return '';
        }
        if (! is_string($this->value)) {
            $this->wrongKind('a text');

            return '';
        }
        if (mb_strlen($this->value) > $longest) {
            $this->flaw(DocumentError::TextTooLong, ['limit' => (string) $longest]);
        }

        return mb_scrub($this->value);
    }

    public function whole(int $least, int $most): int
    {
        // JSON knows one kind of number: 1.0 is whole (JSON Schema 2020-12, 6.1.1).
        $number =
            is_float($this->value) && abs($this->value) < 1e15 && floor($this->value) === $this->value
                ? (int) $this->value
                : $this->value;
        if (! is_int($number)) {
            $this->wrongKind('a whole number');

            return $least;
        }
        if ($number < $least || $number > $most) {
            $this->flaw(DocumentError::OutOfRange, [
                'value' => (string) $number,
                'least' => (string) $least,
                'most' => (string) $most,
            ]);
        }

        return max($least, min($most, $number));
    }

    public function isList(): bool
    {
        return is_array($this->value) && array_is_list($this->value);
    }

    public function isFalse(): bool
    {
        return $this->value === false;
    }

    public function flag(): bool
    {
        if (! is_bool($this->value)) {
            $this->wrongKind('true or false');
        }

        return $this->value === true;
    }

    /** @return null|bool|int|string a value of memory or of the channel */
    public function scalar(): null|bool|int|string
    {
        if (is_float($this->value)) {
            // JSON has one kind of number; what is not whole is kept as it is written.
            return rtrim(rtrim(sprintf('%.6F', $this->value), '0'), '.');
        }
        if ($this->value !== null && ! is_scalar($this->value)) {
            $this->wrongKind('a text, a number, true, false or null');

            return null;
        }

        return is_string($this->value) ? mb_scrub($this->value) : $this->value;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return T
     */
    public function oneOf(string $enum): \BackedEnum
    {
        $text = $this->text(40);
        $found = $enum::tryFrom($text);
        if ($found === null && is_string($this->value)) {
            $this->notOneOf(
                $text,
                array_map(static fn (\BackedEnum $case): string => (string) $case->value, $enum::cases()),
            );
        }

        return $found ?? $enum::cases()[0];
    }

    /** @param  list<string>  $known */
    public function notOneOf(string $value, array $known): void
    {
        $this->flaw(DocumentError::NotOneOf, ['value' => $value, 'known' => implode(', ', $known)]);
    }

    public function name(): string
    {
        $name = $this->text(60);
        if (is_string($this->value) && preg_match(self::NAME, $name) !== 1) {
            $this->flaw(DocumentError::NotAName, ['value' => $name]);
        }

        return $name;
    }

    /** The stable id of a definition: letters, digits and signs, without spaces. */
    public function id(): string
    {
        $id = $this->text(60);
        if (is_string($this->value) && preg_match('/^[^\p{C}\p{Z}]++$/Du', $id) !== 1) {
            $this->flaw(DocumentError::NotAnId, ['value' => $id]);
        }

        return $id;
    }

    public function trigger(): string
    {
        $trigger = $this->text(60);
        if (is_string($this->value) && preg_match(self::TRIGGER, $trigger) !== 1) {
            $this->flaw(DocumentError::NotATrigger, ['value' => $trigger]);
        }

        return $trigger;
    }

    public function moment(): Moment
    {
        if ($this->value instanceof DateTimeInterface) {
            return Moment::of($this->value);
        }
        $text = $this->text(40);
        $moment = Moment::fromIso($text);
        if ($moment === null && is_string($this->value)) {
            $this->flaw(DocumentError::NotAMoment, ['value' => $text]);
        }

        return $moment ?? new Moment(0);
    }

    /** @param  array<string, string>  $data */
    public function flaw(DocumentError $flaw, array $data): void
    {
        $this->note($flaw, $data);
    }

    /** @param  array<string, string>  $data */
    public function note(FindingKind $flaw, array $data): void
    {
        $this->findings->all[] = new Finding($flaw, null, $this->pointer, $data);
    }

    /**
     * Definitions by their folded names; a name or an id that is there twice is a finding.
     *
     * @template T of object{id: string, name: string}
     *
     * @param  callable(self): T  $read
     * @return array<string, T>
     */
    public function named(string $key, int $most, callable $read): array
    {
        $named = [];
        $ids = [];
        foreach ($this->has($key) ? $this->at($key)->items($most) : [] as $item) {
            $one = $read($item);
            $folded = Fold::caseless($one->name);
            if (isset($named[$folded])) {
                $item->at('name')->flaw(DocumentError::NameTwice, ['value' => $one->name]);
            } elseif (isset($ids[Fold::caseless($one->id)])) {
                $item->at($item->has('id') ? 'id' : 'name')->flaw(DocumentError::IdTwice, ['value' => $one->id]);
            }
            $ids[Fold::caseless($one->id)] = true;
            $named[$folded] = $one;
        }

        return $named;
    }

    public function isText(): bool
    {
        return is_string($this->value);
    }

    public function isStructured(): bool
    {
        return is_array($this->value) || $this->value instanceof stdClass;
    }

    public function isObject(): bool
    {
        return $this->value instanceof stdClass
            || (is_array($this->value)
                && ($this->value === [] ? ! $this->findings->tellsListsFromObjects : ! array_is_list($this->value)));
    }

    /** @return array<array-key, mixed> */
    private function entries(): array
    {
        return is_array($this->value) || $this->value instanceof stdClass ? (array) $this->value : [];
    }

    private function wrongKind(string $wanted): void
    {
        $this->flaw(DocumentError::WrongKind, ['wanted' => $wanted, 'found' => match (true) {
            $this->value === null => 'nothing',
            is_bool($this->value) => 'true or false',
            is_int($this->value) || is_float($this->value) => 'a number',
            is_string($this->value) => 'a text',
            $this->isObject() => 'an object',
            is_array($this->value) => 'a list',
            default => 'something else',
        }]);
    }
}
