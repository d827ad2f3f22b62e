<?php

declare(strict_types=1);

namespace App\Remember\Lookups;

use App\Models\Channel;
use App\Models\LookupRow;
use App\Models\User;
use App\Remember\OwnTexts;
use App\Remember\RenamedUses;
use App\Remember\UsesOfNames;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Lookups;
use App\Storage\StaleRevision;
use App\Web\RecordedAnswers;
use App\Web\Secrets;
use App\Web\WebLookups;
use App\Write\LookThrough;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Connection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use SilverParrot\Format\LookupFormat;
use SilverParrot\Format\PackFormat;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Source\Fold;

/** Web sources: made, renamed, copied and deleted. */
final readonly class LookupsController
{
    public function __construct(
        private DefinitionHistory $history,
        private Connection $connection,
        private Secrets $secrets,
        private RecordedAnswers $recorded,
        private UsesOfNames $uses,
        private RenamedUses $renamed,
        private OwnTexts $own,
        private CannedLines $lines,
        private LookupsOverview $overview,
        private NotedReadings $noted,
    ) {
    }

    public function index(Request $request, Channel $channel): View
    {
        $edited = $this->row($channel, $request->string('edit')->value())
            ?? $channel->lookups()->where('name_folded', Fold::caseless($request->string('find')->value()))->first();
        $typed = $request->old('address') === null ? [] : (array) $request->old();
        $was = $edited?->lookup();
        $lookup = $typed !== []
            ? LookupForm::read($request->duplicate($typed), $was)->lookup
            : $was ?? new Lookup(mb_substr($request->string('name')->value(), 0, 60), '');
        $draft = LookupFields::draft($request->duplicate($typed));
        $recordedAs = $lookup->withId($edited->stable_id ?? $draft);

        return view('remember.lookups', $this->overview->of($channel) + [
            'channel' => $channel,
            'edited' => $edited,
            'lookup' => $lookup,
            'typed' => LookupRows::of($lookup, $typed),
            'draft' => $draft === RecordedAnswers::DRAFT ? Str::lower((string) Str::ulid()) : substr($draft, 1),
            'shown' => $edited === null && $typed === [] ? null : $this->recorded->last($channel->id, $recordedAs),
            'noted' => $edited === null ? [] : $this->noted->of($channel, $recordedAs),
            'lines' => $edited === null && $typed === [] ? [] : $this->lines->of($channel, $recordedAs),
        ]);
    }

    public function store(Request $request, Channel $channel, #[CurrentUser] User $user): RedirectResponse
    {
        $lookup = $this->valid($request, $channel, null)->lookup;
        $id = $this->newId($channel, $lookup->id);
        $this->put($channel, $id, $lookup, $user);
        $this->recorded->adopt($channel->id, LookupFields::draft($request), $id);

        return $this->saved($request, $channel, $id, $lookup);
    }

    /** Another name changes what uses it; that is shown first. */
    public function update(
        Request $request,
        Channel $channel,
        string $stable,
        #[CurrentUser] User $user,
    ): RedirectResponse|View {
        $row = $this->row($channel, $stable) ?? abort(404);
        $lookup = $this->valid($request, $channel, $row)->lookup;
        $kind = new Lookups;
        $isSame = $row->name === $lookup->name;
        $uses = $isSame ? [] : $this->renamed->of($channel, $kind, $row->name, $lookup->name);
        $owns = $isSame ? [] : $this->own->renamed($channel, $kind, $row->name, $lookup->name);
        if (($uses !== [] || $owns !== []) && ! $request->boolean('confirmed')) {
            return view('remember.rename', [
                'channel' => $channel,
                'from' => "lookup.{$row->name}",
                'to' => "lookup.{$lookup->name}",
                'uses' => $uses,
                'owns' => $owns,
                'action' => route('remember.lookups.update', [$channel, $stable]),
                'back' => route('remember.lookups', [$channel, 'edit' => $stable]),
                'typed' => $request->except(['_token', '_method']),
            ]);
        }
        try {
            $was = $row->name;
            $save = function () use ($channel, $stable, $lookup, $user, $uses, $kind, $was): void {
                $this->put($channel, $stable, $lookup, $user);
                $this->renamed->save($channel, $uses, $user);
                $this->own->rename($channel, $user, $kind, $was, $lookup->name);
            };
            $this->connection->transaction($save);
        } catch (StaleRevision $meanwhile) {
            return back(fallback: route('remember.lookups', [$channel, 'edit' => $stable]))->with(
                'notice',
                $meanwhile->getMessage().' Nothing was renamed; try again.',
            );
        }

        return $this->saved($request, $channel, $stable, $lookup);
    }

    /** Another one like it, under a name that is free; secrets are given anew. */
    public function copy(Channel $channel, string $stable, #[CurrentUser] User $user): RedirectResponse
    {
        $row = $this->row($channel, $stable) ?? abort(404);
        $taken = $channel->lookups()->pluck('name_folded')->all();
        if (count($taken) >= PackFormat::DEFINITIONS) {
            return back()->with('notice', 'There is no room for more of these.');
        }
        $number = 2;
        do {
            $name = mb_substr($row->name, 0, 56).$number++;
        } while (in_array(Fold::caseless($name), $taken, true));
        $id = $this->newId($channel, $name);
        $copy = LookupFormat::write($row->lookup());
        $this->history->change($channel, $kind = new Lookups, $id, $user, null, static fn () => $kind->put(
            $channel,
            $id,
            ['id' => $id, 'name' => $name] + $copy,
        ));
        LookThrough::dispatch($channel->id);

        return redirect()
            ->route('remember.lookups', [$channel, 'edit' => $id])
            ->with('notice', "lookup.$name is a copy of lookup.{$row->name}.");
    }

    /** What is used goes only when somebody was told what is missing it then; it can be undone. */
    public function destroy(
        Request $request,
        Channel $channel,
        string $stable,
        #[CurrentUser] User $user,
    ): RedirectResponse|View {
        $row = $this->row($channel, $stable) ?? abort(404);
        $kind = new Lookups;
        $users = $this->uses->of($channel, $kind, $row->name);
        if ($users !== [] && ! $request->boolean('confirmed')) {
            return view('remember.delete', [
                'channel' => $channel,
                'name' => "lookup.{$row->name}",
                'users' => $users,
                'action' => route('remember.lookups.destroy', [$channel, $stable]),
                'back' => route('remember.lookups', $channel),
            ]);
        }
        $this->history->change(
            $channel,
            $kind,
            $stable,
            $user,
            null,
            static fn () => $kind->put($channel, $stable, null),
        );
        LookThrough::dispatch($channel->id);

        return redirect()->route('remember.lookups', $channel)->with('notice', "lookup.{$row->name} was deleted.");
    }

    private function valid(Request $request, Channel $channel, ?LookupRow $row): LookupForm
    {
        $form = LookupForm::read($request, $row?->lookup());
        $isTaken = $channel
            ->lookups()
            ->where('name_folded', Fold::caseless($form->lookup->name))
            ->when($row !== null, static fn ($query) => $query->where('id', '<>', $row?->id))
            ->exists();
        $isFull = $row === null && $channel->lookups()->count() >= PackFormat::DEFINITIONS;
        $problems = $form->problems + array_filter([
            'name' => match (true) {
                $isTaken => ['There is one of this name already.'],
                $isFull => ['There is no room for more of these.'],
                default => [],
            },
        ]);
        if ($problems !== []) {
            $request->merge(LookupForm::withoutSecrets($request));
            throw ValidationException::withMessages($problems);
        }

        return $form;
    }

    private function newId(Channel $channel, string $name): string
    {
        $taken = $channel->lookups()->pluck('stable_id')->all();

        return in_array($name, $taken, true) ? Str::lower((string) Str::ulid()) : $name;
    }

    private function put(Channel $channel, string $stable, Lookup $lookup, User $user): void
    {
        $kind = new Lookups;
        $this->history->change(
            $channel,
            $kind,
            $stable,
            $user,
            null,
            static fn () => $kind->put($channel, $stable, ['id' => $stable] + LookupFormat::write($lookup)),
        );
    }

    private function saved(Request $request, Channel $channel, string $stable, Lookup $lookup): RedirectResponse
    {
        foreach (LookupForm::secrets($request) as $name => $value) {
            $this->secrets->keep($channel->id, $stable, $name, $value, WebLookups::hostOf($lookup));
        }
        LookThrough::dispatch($channel->id);

        return redirect()
            ->route('remember.lookups', [$channel, 'edit' => $stable])
            ->with('notice', "lookup.{$lookup->name} is saved.");
    }

    private function row(Channel $channel, string $stable): ?LookupRow
    {
        return $stable === '' ? null : $channel->lookups()->where('stable_id', $stable)->first();
    }
}
