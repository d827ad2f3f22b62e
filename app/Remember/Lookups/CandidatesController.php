<?php

declare(strict_types=1);

namespace App\Remember\Lookups;

use Amp\TimeoutCancellation;
use App\Models\Channel;
use App\Models\User;
use App\Remember\MemoryEditor;
use App\Storage\Assembler;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Named\Facts;
use App\Storage\Viewers;
use App\Web\ReadingWorkers;
use App\Web\WebClient;
use App\Web\WebLookups;
use App\Write\LookThrough;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\Config\Repository;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Connection;
use Illuminate\Http\Request;
use SilverParrot\Checks\FieldRecord;
use SilverParrot\Document\Document;
use SilverParrot\Format\PackFormat;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\Outline\Candidate;
use SilverParrot\Lookup\Parameters\Parameter;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\View as Memory;
use SilverParrot\Pack\FieldType;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Wording;

/**
 * A source in two steps: the first look-up finds several by a name, and which of them the second is to go on with is
 * chosen here, and kept in the parameter, in a fact, or in a viewer's field.
 */
final readonly class CandidatesController
{
    private const SECONDS = 5.0;

    /** Characters of a value that is kept. */
    private const LONGEST = 200;

    public function __construct(
        private Connection $connection,
        private Repository $config,
        private Wording $wording,
        private DefinitionHistory $history,
        private MemoryEditor $memory,
        private Assembler $assembler,
    ) {
    }

    public function find(Request $request, Channel $channel): View
    {
        $fields = LookupFields::of($request, $channel);
        $parameter = $fields->lookup->parameters[Fold::caseless($request->string('of')->value())] ?? null;
        $parts = explode('.', $parameter->from ?? '');
        $row = $parts[0] === 'lookup'
            ? $channel->lookups()->where('name_folded', Fold::caseless($parts[1] ?? ''))->first()
            : null;
        $finder = $row?->lookup();
        $reading = $finder->readings[Fold::caseless($parts[2] ?? '')] ?? null;
        if ($parameter === null || $finder === null || $reading === null) {
            return $this->shown($channel, $parameter, $finder, [], [], 'Say first which reading it comes from.');
        }
        $typed = (array) $request->input('other');
        $arguments = self::arguments($finder, $typed);
        if ($typed === []) {
            return $this->shown($channel, $parameter, $finder, $arguments, [], '');
        }
        $web = WebLookups::of($this->connection, $channel->id, new WebClient($this->config->string('air.harbour')));
        $answer = $web->askNow($finder, $arguments, new TimeoutCancellation(self::SECONDS));
        if (! $answer instanceof Answer) {
            $why = ucfirst($this->wording->of($answer->gap($finder)->message())).'.';

            return $this->shown($channel, $parameter, $finder, $arguments, [], $why);
        }
        $workers = new ReadingWorkers;
        $found = $workers->candidates(
            $finder->format,
            $answer->body,
            $reading->path,
            new TimeoutCancellation(self::SECONDS),
        );
        $workers->end();
        $why = $found === [] ? 'Nothing was found that has a value there.' : '';

        return $this->shown($channel, $parameter, $finder, $arguments, $found, $why);
    }

    /**
     * @param  array<array-key, mixed>  $typed  by name
     * @return array<string, string> what is typed, else what each is tried with
     */
    private static function arguments(Lookup $finder, array $typed): array
    {
        $arguments = [];
        foreach ($finder->parameters as $one) {
            $value = $typed[$one->name] ?? '';
            $usual = $one->sample === '' ? $one->default : $one->sample;
            if (! $one->isSecret) {
                $arguments[$one->name] = is_string($value) && trim($value) !== ''
                    ? mb_substr(trim($value), 0, self::LONGEST)
                    : $usual;
            }
        }

        return $arguments;
    }

    /** The chosen one as a fact, or in a viewer's field; the parameter comes from there from now on. */
    public function keep(Request $request, Channel $channel, #[CurrentUser] User $user): View
    {
        $value = mb_substr($request->string('value')->value(), 0, self::LONGEST);
        $isFact = $request->string('where')->value() === 'fact';
        [$from, $problem] = $isFact
            ? $this->asFact($request, $channel, $value, $user)
            : $this->inField(
                $channel,
                $request->string('field')->value(),
                ltrim($request->string('login')->trim()->value(), '@'),
                $value,
                $user,
            );

        return view('remember.lookups.candidate-kept', [
            'parameter' => $request->string('of')->value(),
            'from' => $from,
            'value' => $value,
            'problem' => $problem,
        ]);
    }

    /** @return array{string, string} where it comes from now; why it does not */
    private function asFact(Request $request, Channel $channel, string $value, User $user): array
    {
        $name = $request->string('fact')->trim()->value();
        $document = Document::of(['name' => $name]);
        $document->at('name')->name();
        if ($document->findings() !== []) {
            return ['', 'Give the fact a name: letters, digits and “_”.'];
        }
        $kind = new Facts;
        $row = $channel->facts()->where('name_folded', Fold::caseless($name))->first();
        $parameter = LookupFields::of($request, $channel)->lookup
            ->parameters[Fold::caseless($request->string('of')->value())] ?? null;
        if ($row !== null && Fold::caseless($parameter->from ?? '') !== Fold::caseless("fact.{$row->name}")) {
            // What something else uses is changed where that is shown.
            return ['', "fact.{$row->name} is there already: take another name, or change it in Memory."];
        }
        if ($row === null && $channel->facts()->count() >= PackFormat::DEFINITIONS) {
            return ['', 'There is no room for more facts.'];
        }
        $id = $row->stable_id ?? $kind->idFor($channel, $name);
        $name = $row->name ?? $name;
        $state = ['name' => $name, 'text' => $value, 'is_response' => false, 'parts' => ''];
        $this->history->change($channel, $kind, $id, $user, null, static fn () => $kind->put($channel, $id, $state));
        LookThrough::dispatch($channel->id);

        return ["fact.$name", ''];
    }

    /** @return array{string, string} */
    private function inField(Channel $channel, string $name, string $login, string $value, User $user): array
    {
        $field = $this->assembler->names($channel)->fields[Fold::caseless($name)] ?? null;
        $row = $this->connection->table('viewers')->where('channel_id', $channel->id)->where(
            'login',
            Fold::caseless($login),
        )->first(['service', 'service_id', 'login']);
        if ($field === null || $field->type !== FieldType::Text) {
            return ['', 'Choose a field that holds a text.'];
        }
        if (! $field->changes->byHand || ! FieldRecord::fits($field, $value)) {
            $why = $field->changes->byHand ? 'does not hold so long a text' : 'is set by responses alone';

            return ['', "{$field->name} $why."];
        }
        if ($row === null) {
            return ['', 'Nobody of that login was here yet.'];
        }
        /** @var object{service: string, service_id: string, login: string} $row */
        $key = Key::field($field->id, Viewers::personId($row->service, $row->service_id));
        $this->memory->change($channel, $user, Reads::of($key), static fn (Memory $now): array => [
            new Change($key, $now->value($key), $value, "viewer.{$field->name}", $row->login),
        ]);

        return ["caller.{$field->name}", ''];
    }

    /**
     * @param  array<string, string>  $arguments  of the one that finds
     * @param  list<Candidate>  $found
     */
    private function shown(
        Channel $channel,
        ?Parameter $parameter,
        ?Lookup $finder,
        array $arguments,
        array $found,
        string $problem,
    ): View {
        return view('remember.lookups.candidates', [
            'channel' => $channel,
            'parameter' => $parameter,
            'finder' => $finder,
            'arguments' => $arguments,
            'found' => $found,
            'problem' => $problem,
            'fields' => array_filter(
                $this->assembler->names($channel)->fields,
                static fn ($one): bool => $one->type === FieldType::Text,
            ),
        ]);
    }
}
