<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use Illuminate\Http\Request;
use SilverParrot\Document\Document;
use SilverParrot\Format\CommandFormat;
use SilverParrot\Format\PhraseFormat;
use SilverParrot\Hearing\Gates\GateSettings;
use SilverParrot\Hearing\Gates\TypedFields;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Pack\Refusal;
use SilverParrot\Pack\Triggers;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;

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
                'trigger' => self::trigger($request),
                'name_only' => $request->boolean('name_only'),
                'aliases' => self::aliases(self::text($request, 'aliases')),
                'phrases' => PhraseFormat::typed($request->input('phrases', [])),
                'responses' => self::responses($request),
                'order' => self::text($request, 'order') ?: DrawOrder::Free->value,
                'refusals' => array_map(
                    static fn (Refusal $refusal): false|string => self::reply($request, $refusal->key),
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

    /** A new one is typed with its mark or without. */
    private static function trigger(Request $request): string
    {
        $typed = trim(self::spaced(self::text($request, 'trigger')));

        return $request->integer('command') === 0 && ! $request->boolean('name_only')
            ? Triggers::marked($typed)
            : $typed;
    }

    private static function spaced(string $typed): string
    {
        return preg_replace('/[\s\p{Z}]++/u', ' ', $typed) ?? '';
    }

    /** @return list<string> with commas between, or with spaces where each begins with a mark */
    private static function aliases(string $typed): array
    {
        $aliases = array_map(trim(...), preg_split('/,| (?=[\p{P}\p{S}])/u', self::spaced($typed)) ?: []);

        return array_values(array_filter($aliases, static fn (string $one): bool => $one !== ''));
    }

    /** What is typed is said; false where nothing is to be, whatever the channel says. */
    private static function reply(Request $request, string $key): false|string
    {
        $text = self::text($request, "refusals.$key");

        return $text === '' && in_array($key, (array) $request->input('silent', []), true) ? false : $text;
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
            $run = is_array($response) ? self::run($request, $response) : null;
            $deed = is_array($response) ? self::deed($response) : null;
            if (trim($text) !== '' || $run !== null || $deed !== null) {
                $id = is_string($response['id'] ?? null) ? $response['id'] : '';
                $steps = is_string($response['steps'] ?? null) ? json_decode($response['steps'], true, 8) : null;
                $responses[] = ($id === '' ? [] : ['id' => $id])
                    + match (true) {
                        $run !== null || $deed !== null => [
                            'steps' => array_values(array_filter([
                                $deed,
                                trim($text) === '' ? null : ['say' => $text],
                                $run,
                            ])),
                        ],
                        is_array($steps) && $steps !== [] => ['steps' => self::firstSaying($steps, $text)],
                        default => ['text' => $text],
                    } + [
                        'weight' => ctype_digit($weight) && strlen($weight) < 9 ? (int) $weight : $weight,
                    ]
                    + self::conditions($response);
            }
        }

        return $responses;
    }

    /**
     * The command that it runs goes by its id, so that it stays the one it is under another trigger.
     *
     * @param  array<array-key, mixed>  $response
     * @return array<string, string>|null
     */
    private static function run(Request $request, array $response): ?array
    {
        $typed = is_string($response['run'] ?? null) ? trim($response['run']) : '';
        $words = is_string($response['words'] ?? null) ? trim($response['words']) : '';
        $channel = $request->route('channel');
        $id = $typed === '' || ! $channel instanceof Channel
            ? null
            : $channel->commands()->where('trigger_folded', Fold::caseless($typed))->value('stable_id');

        return $typed === ''
            ? null
            : ['run' => is_string($id) ? $id : $typed] + ($words === '' ? [] : ['words' => $words]);
    }

    /**
     * Of each deed the fields are there; those of the chosen one count, as far as something stands in them.
     *
     * @param  array<array-key, mixed>  $response
     * @return array{do: string, with?: array<string, string>}|null
     */
    private static function deed(array $response): ?array
    {
        $key = is_string($response['do'] ?? null) ? $response['do'] : '';
        $with = [];
        foreach (is_array($response['with'] ?? null) ? $response['with'] : [] as $field => $text) {
            [$deed, $input] = [...explode('/', (string) $field, 2), ''];
            if ($deed === $key && is_string($text) && trim($text) !== '') {
                $with[$input] = trim($text);
            }
        }

        return $key === '' ? null : ['do' => $key] + ($with === [] ? [] : ['with' => $with]);
    }

    /**
     * @param  array<array-key, mixed>  $response
     * @return array<'category'|'enabled'|'levels', mixed> what one response has of its own
     */
    private static function conditions(array $response): array
    {
        $text = static fn (string $key): string => is_string($response[$key] ?? null) ? trim($response[$key]) : '';
        $categories = TypedFields::lines($text('category'));
        $others = json_decode($text('conditions'), true, 5);
        $kept = array_intersect_key(is_array($others) ? $others : [], ['levels' => true, 'category' => true]);

        return ($text('off') === '1' ? ['enabled' => false] : [])
            + $kept
            + ($text('level') === '' ? [] : ['levels' => ['at_least' => $text('level')]])
            + ($categories === [] ? [] : ['category' => ['only' => $categories]]);
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
