<?php

declare(strict_types=1);

namespace App\Write;

use Illuminate\Http\Request;
use SilverParrot\Chat\Level;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Format\CommandFormat;
use SilverParrot\Pack\Format\Document;
use SilverParrot\Source\Finding;

/** What the author has in the fields of a command's page, read by the same reader as a pack document. */
final readonly class CommandForm
{
    /** @param  list<Finding>  $findings */
    private function __construct(public Command $command, public array $findings)
    {
    }

    public static function read(Request $request): self
    {
        $document = Document::parse(json_encode(self::document($request), JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE));
        if (is_array($document)) {
            return new self(new Command('', []), $document);
        }

        return new self(CommandFormat::read($document), $document->findings());
    }

    /** @return array<string, list<string>> sentences by field */
    public function errors(): array
    {
        $errors = [];
        foreach ($this->findings as $finding) {
            $errors[self::field($finding->at)][] = trim($finding->sentence().' '.$finding->mend());
        }

        return $errors;
    }

    /** @return array<string, mixed> */
    private static function document(Request $request): array
    {
        $document = [
            'trigger' => trim(self::text($request, 'trigger')),
            'aliases' => preg_split('/[\s,]+/', self::text($request, 'aliases'), flags: PREG_SPLIT_NO_EMPTY) ?: [],
            'responses' => self::responses($request),
            'levels' => self::levels($request),
            'cooldown' => ['channel' => self::whole($request, 'channel_cooldown'), 'person' => self::whole($request, 'person_cooldown')],
            'refusals' => ['level' => self::text($request, 'level_refusal'), 'cooldown' => self::text($request, 'cooldown_refusal')],
            'if_it_fails' => self::text($request, 'if_it_fails'),
            'group' => trim(self::text($request, 'group')),
            'note' => self::text($request, 'note'),
            'enabled' => $request->boolean('enabled'),
            'listed' => $request->boolean('listed'),
            'voice' => self::text($request, 'voice') ?: 'parrot',
            'place' => self::text($request, 'place') ?: 'chat',
        ];

        return $document;
    }

    /** @return list<array<string, mixed>> responses that were left empty are left out, unless it is the only one */
    private static function responses(Request $request): array
    {
        $responses = [];
        foreach ((array) $request->input('responses', []) as $response) {
            $text = is_array($response) && is_string($response['text'] ?? null) ? str_replace("\r\n", "\n", $response['text']) : '';
            $weight = is_array($response) && is_string($response['weight'] ?? null) ? $response['weight'] : '1';
            if (trim($text) !== '') {
                $responses[] = ['text' => $text, 'weight' => ctype_digit($weight) && strlen($weight) < 9 ? (int) $weight : $weight];
            }
        }

        return $responses;
    }

    /** @return array<string, mixed> */
    private static function levels(Request $request): array
    {
        $who = self::text($request, 'who');
        if ($who === 'any_of') {
            return ['any_of' => array_values(array_filter((array) $request->input('any_of', []), is_string(...)))];
        }

        return $who === '' || $who === Level::Everyone->word() ? [] : ['at_least' => $who];
    }

    private static function text(Request $request, string $field): string
    {
        $value = $request->input($field);

        return is_string($value) ? str_replace("\r\n", "\n", $value) : '';
    }

    private static function whole(Request $request, string $field): int|string
    {
        $text = trim(self::text($request, $field));

        return ctype_digit($text) && strlen($text) < 9 ? (int) $text : $text;
    }

    private static function field(string $pointer): string
    {
        $parts = explode('/', ltrim($pointer, '/'));

        return match ($parts[0]) {
            'cooldown' => ($parts[1] ?? 'channel').'_cooldown',
            'refusals' => ($parts[1] ?? 'level').'_refusal',
            'levels' => 'who',
            'responses' => 'responses.'.($parts[1] ?? '0'),
            default => $parts[0],
        };
    }
}
