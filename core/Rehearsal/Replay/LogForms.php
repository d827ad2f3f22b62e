<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Replay;

/** All forms of logs that are read. */
final class LogForms
{
    /** Lines by which a form is recognised. */
    public const LOOKED_AT = 300;

    /** @var list<class-string<LogForm>> of several that read as much, the first is taken */
    private const ALL = [
        Forms\JsonLinesForm::class,
        Forms\AngleForm::class,
        Forms\TabForm::class,
        Forms\PlainForm::class,
        Forms\TableForm::class,
    ];

    /** @return array<string, string> labels by key */
    public static function labels(): array
    {
        $labels = [];
        foreach (self::ALL as $form) {
            $labels[$form::key()] = $form::label();
        }

        return $labels;
    }

    /** @param  array{int, int, int}|null  $columns  of the time, the name and the text in a table */
    public static function named(string $key, ?array $columns = null): ?LogForm
    {
        foreach (self::ALL as $form) {
            if ($form::key() === $key) {
                return $columns !== null && $form === Forms\TableForm::class
                    ? new Forms\TableForm(...$columns)
                    : new $form;
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $lines  the first of a log
     * @return string|null the key of the form that reads the most of them; null where none reads any
     */
    public static function recognise(array $lines): ?string
    {
        $best = null;
        $most = 0;
        foreach (self::ALL as $form) {
            $reader = new $form;
            $read = $said = 0;
            foreach (array_slice($lines, 0, self::LOOKED_AT) as $line) {
                $one = $reader->line($line);
                $read += $one === null ? 0 : 1;
                $said += $one?->isSaid === true ? 1 : 0;
            }
            if ($said > 0 && $read > $most) {
                [$best, $most] = [$form::key(), $read];
            }
        }

        return $best;
    }
}
