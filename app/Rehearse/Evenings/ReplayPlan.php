<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

use DateTimeZone;
use SilverParrot\Chat\Person;
use SilverParrot\Rehearsal\Replay\LogForms;
use SilverParrot\Rehearsal\Replay\LogReader;

/** A chat log that is heard, and how it is to be read. */
final readonly class ReplayPlan
{
    /**
     * @param  string  $file  under the folder of logs
     * @param  string  $name  as it was called where it came from
     * @param  string  $form  a key of LogForms
     * @param  array{int, int, int}|null  $columns  of the time, the name and the text in a table
     * @param  array{int, int, int}  $day  of times that have none
     */
    public function __construct(
        public string $file,
        public string $name,
        public string $form,
        public ?array $columns,
        public string $zone,
        public array $day,
        public bool $isNameless,
        public int $lines,
    ) {
    }

    /** @param  array<array-key, mixed>  $options  as toArray() gives them */
    public static function of(array $options): self
    {
        $text = static fn (string $key): string => is_string($options[$key] ?? null) ? $options[$key] : '';
        $day = self::three($options['day'] ?? null);

        return new self(
            basename($text('file')),
            $text('name'),
            $text('form'),
            self::three($options['columns'] ?? null),
            $text('zone') === '' ? 'UTC' : $text('zone'),
            $day ?? [2026, 1, 1],
            ($options['nameless'] ?? false) === true,
            is_int($options['lines'] ?? null) ? $options['lines'] : 0,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'file' => $this->file,
            'name' => $this->name,
            'form' => $this->form,
            'columns' => $this->columns,
            'zone' => $this->zone,
            'day' => $this->day,
            'nameless' => $this->isNameless,
            'lines' => $this->lines,
        ];
    }

    /** @param  list<Person>  $known  who has levels */
    public function reader(array $known): LogReader
    {
        return new LogReader(
            LogForms::named($this->form, $this->columns) ?? throw new \LogicException("No log is {$this->form}."),
            new DateTimeZone($this->zone),
            $this->day,
            $this->isNameless,
            $known,
        );
    }

    /** @return array{int, int, int}|null */
    private static function three(mixed $of): ?array
    {
        return is_array($of) && is_int($of[0] ?? null) && is_int($of[1] ?? null) && is_int($of[2] ?? null)
            ? [$of[0], $of[1], $of[2]]
            : null;
    }
}
