<?php

declare(strict_types=1);

namespace App\Rehearse;

use SilverParrot\Hearing\Gates\StreamState;
use SilverParrot\Pack\CastMember;
use SilverParrot\Rehearsal\Heard;

/** What one can do about a line that was not answered: a press for each, that does what its sentence says. */
final readonly class Advice
{
    /** @param  array<string, int|string>  $values  sent with the press, over what stands in the chat's fields */
    private function __construct(public string $label, public array $values)
    {
    }

    /**
     * @param  list<CastMember>  $cast
     * @return list<self>
     */
    public static function on(Heard $heard, array $cast): array
    {
        $closed = $heard->outcome->closed;
        if ($closed === null) {
            return self::onMistyped($heard);
        }
        $seconds = $closed->opens->data['seconds'] ?? null;
        $advice = ! is_int($seconds)
            ? []
            : [new self("Move the clock forward $seconds s", ['do' => 'turn', 'seconds' => $seconds])];
        if ($closed->code === 'level') {
            $may = CastMember::lowest(
                array_values(
                    array_filter(
                        $cast,
                        static fn (CastMember $one): bool => $heard->outcome->command?->isFor($one->person()->levels)
                            ?? false,
                    ),
                ),
            );
            $advice = $may === null ? [] : [new self("Say it as {$may->name}", [
                'do' => 'say',
                'speaker' => $may->login,
                'line' => $heard->line->text,
            ])];
        }

        return match ($closed->code) {
            'flood', 'flood-of-person' => [...$advice, new self('Lift the flood limit here', [
                'do' => 'hear',
                'no_flood' => 1,
            ])],
            'stream' => [
                ($closed->outcome['needs'] ?? '') === StreamState::Live->value
                    ? new self('Start the stream here', ['do' => 'hear', 'live' => 1])
                    : new self('End the stream here', ['do' => 'hear', 'live' => 0]),
            ],
            default => $advice,
        };
    }

    /** @return list<self> */
    private static function onMistyped(Heard $heard): array
    {
        $nearest = $heard->outcome->trace?->silence()?->message()->data['nearest'] ?? '';
        if (! is_string($nearest) || $nearest === '') {
            return [];
        }
        $rest = explode(' ', $heard->line->text, 2)[1] ?? '';

        return [new self("Say $nearest", [
            'do' => 'say',
            'speaker' => $heard->by->login ?? '',
            'line' => trim("$nearest $rest"),
        ])];
    }
}
