<?php

declare(strict_types=1);

namespace App\Remember;

use App\Models\Channel;
use App\Models\User;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Named\Facts;
use App\Storage\Definitions\Named\NamedDefinition;
use App\Storage\StaleRevision;
use App\Write\LookThrough;
use Closure;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use SilverParrot\Format\PackFormat;
use SilverParrot\Source\Fold;

/** Making, changing and deleting what has a name: facts, lists, counters, occasions, fields. */
final readonly class NamedController
{
    public function __construct(private DefinitionHistory $history, private UsesOfNames $uses)
    {
    }

    public function create(Request $request, Channel $channel, string $kind): View
    {
        return $this->form($channel, self::kind($kind), null, $request->string('name')->value());
    }

    public function edit(Channel $channel, string $kind, string $stable): View
    {
        $kind = self::kind($kind);

        return $this->form($channel, $kind, $stable, '');
    }

    public function store(
        NamedRequest $request,
        Channel $channel,
        #[CurrentUser] User $user,
    ): RedirectResponse|JsonResponse {
        $kind = $request->kind();
        $this->put($channel, $kind, $kind->idFor($channel, $request->name()), $user, $request->state());

        return $this->done($request, $channel, $kind, "{$kind->prefix()}.{$request->name()} is made.");
    }

    public function update(
        NamedRequest $request,
        Channel $channel,
        string $kind,
        string $stable,
        RenamedUses $renamed,
        OwnTexts $own,
        FactSayings $sayings,
        #[CurrentUser] User $user,
    ): RedirectResponse|JsonResponse|View {
        $kind = $request->kind();
        $was = $kind->read($channel, $stable) ?? abort(Response::HTTP_NOT_FOUND);
        $name = is_string($was['name'] ?? null) ? $was['name'] : '';
        $isSame = $name === $request->name();
        $uses = $isSame ? [] : $renamed->of($channel, $kind, $name, $request->name());
        $owns = $isSame ? [] : $own->renamed($channel, $kind, $name, $request->name());
        $isUsed = $uses !== [] || $owns !== [];
        if ($isUsed && $request->expectsJson()) {
            // Beside a text there is no room to show what the new name changes.
            throw ValidationException::withMessages([
                'name' => 'Commands use it by this name. Rename it in Remember, where what changes is shown first.',
            ]);
        }
        if ($isUsed && ! $request->boolean('confirmed')) {
            return view('remember.rename', [
                'channel' => $channel,
                'from' => "{$kind->prefix()}.$name",
                'to' => "{$kind->prefix()}.{$request->name()}",
                'uses' => $uses,
                'owns' => $owns,
                'action' => route('remember.named.update', [$channel, $kind->key(), $stable]),
                'back' => route('remember', $channel),
                'typed' => $request->except(['_token', '_method', 'name_folded']),
            ]);
        }
        $isShown = $isSame && ! $request->expectsJson() && ! $request->boolean('seen_sayings');
        $changed = $isShown && $kind instanceof Facts
            ? $sayings->changed($channel, $name, $request->string('text')->value(), $request->boolean('is_response'))
            : [];
        if ($changed !== []) {
            return view('remember.sayings', [
                'channel' => $channel,
                'name' => $name,
                'stable' => $stable,
                'changed' => $changed,
                'typed' => $request->except(['_token', '_method', 'name_folded']),
            ]);
        }
        try {
            $state = $request->state();
            $to = $request->name();
            $save = function () use ($channel, $kind, $stable, $user, $state, $to, $renamed, $uses, $own, $name): void {
                $this->put($channel, $kind, $stable, $user, $state);
                $renamed->save($channel, $uses, $user);
                $own->rename($channel, $user, $kind, $name, $to);
            };
            DB::transaction($save);
        } catch (StaleRevision $meanwhile) {
            return back(fallback: route('remember', $channel))->with(
                'notice',
                $meanwhile->getMessage().' Nothing was renamed; try again.',
            );
        }

        return $this->done($request, $channel, $kind, "{$kind->prefix()}.{$request->name()} is saved.");
    }

    /** Another one like it, under a name that is free. */
    public function copy(Channel $channel, string $kind, string $stable, #[CurrentUser] User $user): RedirectResponse
    {
        $kind = self::kind($kind);
        $was = $kind->read($channel, $stable) ?? abort(Response::HTTP_NOT_FOUND);
        $name = is_string($was['name'] ?? null) ? $was['name'] : '';
        $taken = $kind->rows($channel)->pluck('name_folded')->all();
        for ($number = 2; in_array(Fold::caseless($copy = mb_substr($name, 0, 56).$number), $taken, true); $number++);
        $items = is_array($was['items'] ?? null) ? $was['items'] : null;
        $state = ['name' => $copy] + ($items === null ? [] : ['items' => array_map(
            static fn (mixed $item): array => array_diff_key(is_array($item) ? $item : [], ['stable_id' => true]),
            $items,
        )]) + $was;
        if (count($taken) >= PackFormat::DEFINITIONS) {
            return redirect()->route($kind->page(), $channel)->with('notice', 'There is no room for more of these.');
        }
        $id = $kind->idFor($channel, $copy);
        $this->put($channel, $kind, $id, $user, $state);

        return redirect()
            ->to(route($kind->page(), [$channel, 'kind' => $kind->key(), 'edit' => $id])."#named-{$kind->key()}")
            ->with('notice', "{$kind->prefix()}.$copy is a copy of {$kind->prefix()}.$name.");
    }

    /** What is used goes only when somebody was told what is missing it then; it can be undone. */
    public function destroy(
        Request $request,
        Channel $channel,
        string $kind,
        string $stable,
        #[CurrentUser] User $user,
    ): RedirectResponse|View {
        $kind = self::kind($kind);
        $was = $kind->read($channel, $stable);
        abort_if($was === null, Response::HTTP_NOT_FOUND);
        $name = is_string($was['name'] ?? null) ? $was['name'] : '';
        $users = $this->uses->of($channel, $kind, $name);
        if ($users !== [] && ! $request->boolean('confirmed')) {
            return view('remember.delete', [
                'channel' => $channel,
                'name' => "{$kind->prefix()}.$name",
                'users' => $users,
                'action' => route('remember.named.destroy', [$channel, $kind->key(), $stable]),
                'back' => route('remember', $channel),
            ]);
        }
        $this->change($channel, $kind, $stable, $user, static fn () => $kind->put($channel, $stable, null));

        return redirect()
            ->route($kind->page(), $channel)
            ->with(
                'notice',
                "{$kind->prefix()}.$name was deleted.",
            );
    }

    private function form(Channel $channel, NamedDefinition $kind, ?string $stable, string $name): View
    {
        $state = $stable === null ? null : $kind->read($channel, $stable);
        abort_if($stable !== null && $state === null, Response::HTTP_NOT_FOUND);

        return view()->make('remember.partials.named-form', [
            'channel' => $channel,
            'kind' => $kind,
            'stable' => $stable,
            'state' => $state ?? ['name' => mb_substr($name, 0, 60)],
        ]);
    }

    /** @param  array<string, mixed>  $state */
    private function put(Channel $channel, NamedDefinition $kind, string $stable, User $user, array $state): void
    {
        $this->change($channel, $kind, $stable, $user, static fn () => $kind->put($channel, $stable, $state));
    }

    /** @param  Closure(): mixed  $do */
    private function change(Channel $channel, NamedDefinition $kind, string $stable, User $user, Closure $do): void
    {
        $this->history->change($channel, $kind, $stable, $user, null, $do);
        LookThrough::dispatch($channel->id);
    }

    private function done(
        Request $request,
        Channel $channel,
        NamedDefinition $kind,
        string $notice,
    ): RedirectResponse|JsonResponse {
        return $request->expectsJson()
            ? response()->json(['notice' => $notice])
            : redirect()->route($kind->page(), $channel)->with('notice', $notice);
    }

    private static function kind(string $key): NamedDefinition
    {
        return NamedDefinition::called($key) ?? abort(Response::HTTP_NOT_FOUND);
    }
}
