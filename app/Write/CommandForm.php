<?php

declare(strict_types=1);

namespace App\Write;

use Illuminate\Http\Request;
use SilverParrot\Document\Document;
use SilverParrot\Format\CommandFormat;
use SilverParrot\Hearing\Gates\GateSettings;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Refusal;
use SilverParrot\Source\Finding;

/** What the author has in the fields of a command's page, read by the same reader as a pack document. */
final readonly class CommandForm
{
    /**
     * @param  list<Finding>  $findings
     * @param  list<string>  $weights  of the responses, as they were typed
     */
    private function __construct(public Command $command, public array $findings, public array $weights)
    {
    }

    public static function read(Request $request): self
    {
        $fields = self::document($request);
        $document = Document::of($fields);

        return new self(
            CommandFormat::read($document),
            $document->findings(),
            array_map(static fn (array $one): string => (string) $one['weight'], $fields['responses']),
        );
    }

    /** @return array<string, list<string>> sentences by field */
    public function errors(): array
    {
        $errors = [];
        foreach ($this->findings as $finding) {
            $errors[self::field($finding->at)][] = str_ends_with($finding->at, '/weight')
                ? 'A weight is a whole number from 1 to 1,000.'
                : trim($finding->sentence().' '.$finding->mend());
        }

        return $errors;
    }

    /** @return array{responses: list<array{weight: int|string, ...}>, ...} */
    private static function document(Request $request): array
    {
        $document =
            [
                'trigger' => trim(self::text($request, 'trigger')),
                'aliases' => preg_split('/[\s,]+/', self::text($request, 'aliases'), flags: PREG_SPLIT_NO_EMPTY) ?: [],
                'responses' => self::responses($request),
                'refusals' => array_map(
                    static fn (Refusal $refusal): string => self::text($request, "refusals.{$refusal->key}"),
                    GateSettings::refusals(),
                ),
                'if_it_fails' => self::text($request, 'if_it_fails'),
                'group' => trim(self::text($request, 'group')),
                'note' => self::text($request, 'note'),
                'listed' => $request->boolean('listed'),
                'voice' => self::text($request, 'voice') ?: 'parrot',
                'place' => self::text($request, 'place') ?: 'chat',
            ] + GateSettings::typed((array) $request->input('gates', []));

        return $document;
    }

    /** @return list<array{weight: int|string, ...}> those that have a text */
    private static function responses(Request $request): array
    {
        $responses = [];
        foreach ((array) $request->input('responses', []) as $response) {
            $text =
                is_array($response) && is_string($response['text'] ?? null)
                    ? str_replace("\r\n", "\n", $response['text'])
                    : '';
            $weight = is_array($response) && is_string($response['weight'] ?? null) ? $response['weight'] : '1';
            if (trim($text) !== '') {
                $id = is_string($response['id'] ?? null) ? $response['id'] : '';
                $steps = is_string($response['steps'] ?? null) ? json_decode($response['steps'], true, 8) : null;
                $responses[] = ($id === '' ? [] : ['id' => $id])
                    + (is_array($steps) && $steps !== []
                        ? ['steps' => self::firstSaying($steps, $text)]
                        : ['text' => $text]) + [
                            'weight' => ctype_digit($weight) && strlen($weight) < 9 ? (int) $weight : $weight,
                        ];
            }
        }

        return $responses;
    }

    /**
     * The form changes what is said first; what else a response does stays as it is.
     *
     * @param  array<array-key, mixed>  $steps
     * @return list<mixed>
     */
    private static function firstSaying(array $steps, string $text): array
    {
        foreach ($steps as $at => $step) {
            if (is_array($step) && isset($step['say'])) {
                $steps[$at] = ['say' => $text] + $step;
                break;
            }
        }

        return array_values($steps);
    }

    private static function text(Request $request, string $field): string
    {
        $value = $request->input($field);

        return is_string($value) ? str_replace("\r\n", "\n", $value) : '';
    }

    private static function field(string $pointer): string
    {
        $parts = explode('/', ltrim($pointer, '/'));

        return match (true) {
            in_array($parts[0], GateSettings::keys(), true) => "gates.{$parts[0]}",
            in_array($parts[0], ['refusals', 'responses'], true) => "{$parts[0]}.".($parts[1] ?? '0'),
            default => $parts[0],
        };
    }
}
