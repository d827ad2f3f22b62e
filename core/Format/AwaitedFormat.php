<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\GoesOn;
use SilverParrot\Response\Evaluation\Invocation;
use SilverParrot\Value\Moment;

/** What goes on once an effect was carried out, as it is kept until then. */
final class AwaitedFormat
{
    /** @return array<string, mixed> */
    public static function write(GoesOn $then): array
    {
        $line = $then->line();

        return [
            'command' => $then->command,
            'response' => $then->response,
            'step' => $then->step,
            'key' => $then->from->key(),
            'at' => $then->from->at()->iso(),
            'by' => $then->person()?->record(),
            'text' => $line->text ?? '',
            'nick' => $line->nick ?? '',
            'whisper' => $line?->isWhisper === true,
            'words' => $then->scene->words,
            'trigger' => $then->scene->trigger,
        ];
    }

    /** @param  array<array-key, mixed>  $kept */
    public static function read(array $kept): ?GoesOn
    {
        $text = static fn (string $key): string => is_string($kept[$key] ?? null) ? $kept[$key] : '';
        $by = Person::fromRecord($kept['by'] ?? null);
        $at = Moment::fromIso($text('at'));

        return $by === null || $at === null || $text('key') === '' ? null : new GoesOn(
            new ChatLine($text('key'), $by, $text('text'), $at, $text('nick'), ($kept['whisper'] ?? false) === true),
            $text('command'),
            $text('response'),
            is_int($kept['step'] ?? null) ? $kept['step'] : 0,
            Invocation::of($by, $text('words'), $text('trigger'), $text('text')),
            $at,
        );
    }
}
