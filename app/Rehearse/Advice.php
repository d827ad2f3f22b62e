<?php

declare(strict_types=1);

namespace App\Rehearse;

use App\Wording\Sentences;
use SilverParrot\Hearing\Gates\Lengths;
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
    public static function on(Heard $heard, array $cast, Sentences $words): array
    {
        $closed = $heard->outcome->closed;
        if ($closed === null) {
            return self::onMistyped($heard);
        }
        $seconds = $closed->opens->data['seconds'] ?? null;
        $later = ! is_int($seconds)
            ? []
            : [new self('Move the clock forward '.$words->of(Lengths::of($seconds)), [
                'do' => 'turn',
                'seconds' => $seconds,
            ])];
        $first = $closed->opens->data['first'] ?? '';

        return match ($closed->code) {
            'level' => self::asOneWhoMay($heard, $cast),
            'flood', 'flood-of-person' => [...$later, new self('Lift the flood limit here', [
                'do' => 'hear',
                'no_flood' => 1,
            ])],
            'stream' => [
                ($closed->outcome['needs'] ?? '') === StreamState::Live->value
                    ? new self('Start the stream here', ['do' => 'hear', 'live' => 1])
                    : new self('End the stream here', ['do' => 'hear', 'live' => 0]),
            ],
            'category' => is_string($first) && $closed->outcome['needs'] !== ''
                ? [new self("Change the category here to $first", ['do' => 'hear', 'category_now' => $first])]
                : [],
            'chance' => [self::saying($heard, 'Say it again', $heard->line->text)],
            'needs' => self::naming($heard, $cast),
            'typed_in' => [
                new self($heard->line->isWhisper ? 'Say it in the chat' : 'Whisper it', [
                    'whisper' => $heard->line->isWhisper ? 0 : 1,
                ] + self::saying($heard, '', $heard->line->text)->values),
            ],
            default => $later,
        };
    }

    /**
     * @param  list<CastMember>  $cast
     * @return list<self>
     */
    private static function asOneWhoMay(Heard $heard, array $cast): array
    {
        $may = CastMember::lowest(
            array_values(
                array_filter(
                    $cast,
                    static fn (CastMember $one): bool => $heard->outcome->command?->isFor($one->person()) ?? false,
                ),
            ),
        );

        return $may === null ? [] : [new self("Say it as {$may->name}", [
            'do' => 'say',
            'speaker' => $may->login,
            'line' => $heard->line->text,
        ])];
    }

    /**
     * @param  list<CastMember>  $cast
     * @return list<self>
     */
    private static function naming(Heard $heard, array $cast): array
    {
        $trigger = explode(' ', $heard->line->text, 2)[0];
        foreach ($cast as $one) {
            if ($one->login !== $heard->by?->login) {
                return [self::saying($heard, "Say $trigger @{$one->name}", "$trigger @{$one->login}")];
            }
        }

        return [];
    }

    private static function saying(Heard $heard, string $label, string $line): self
    {
        return new self($label, ['do' => 'say', 'speaker' => $heard->by->login ?? '', 'line' => $line]);
    }

    /** @return list<self> */
    private static function onMistyped(Heard $heard): array
    {
        $nearest = $heard->outcome->trace?->silence()?->message()->data['nearest'] ?? '';
        if (! is_string($nearest) || $nearest === '') {
            return [];
        }
        $rest = explode(' ', $heard->line->text, 2)[1] ?? '';

        return [self::saying($heard, "Say $nearest", trim("$nearest $rest"))];
    }
}
