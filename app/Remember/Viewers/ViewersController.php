<?php

declare(strict_types=1);

namespace App\Remember\Viewers;

use App\Models\Channel;
use App\Models\User;
use App\Remember\MemoryEditor;
use App\Storage\Assembler;
use App\Storage\Viewers;
use App\Wording\Sentences;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Connection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\View as Memory;
use SilverParrot\Pack\Field;
use SilverParrot\Source\Message;

/** Everybody who ever spoke: found, looked at, put right, merged, exported and forgotten. */
final readonly class ViewersController
{
    public function __construct(private Connection $connection, private Assembler $assembler)
    {
    }

    public function index(Request $request, Channel $channel, FindViewers $find): View
    {
        $pack = $this->assembler->names($channel);
        $units = array_values(array_filter($pack->fields, static fn (Field $field): bool => $field->type->isNumber()));
        $page = max(1, min(10_000, $request->integer('page', 1)));
        $find = $find->of(
            $channel,
            $typed = mb_substr($request->string('find')->value(), 0, 100),
            $by = $request->string('by', 'last_seen')->value(),
            $page,
        );

        return view('remember.viewers', [
            'channel' => $channel,
            'find' => trim($typed),
            'by' => $by,
            'units' => $units,
            'page' => $page,
            'viewers' => array_slice($find, 0, FindViewers::SHOWN),
            'hasMore' => count($find) > FindViewers::SHOWN,
        ]);
    }

    public function show(Channel $channel, int $viewer, PersonRecord $record): View
    {
        return view('remember.person', [
            'channel' => $channel,
            'viewer' => $viewer,
            'person' => $record->of($channel, $viewer) ?? abort(Response::HTTP_NOT_FOUND),
        ]);
    }

    public function export(Channel $channel, int $viewer, PersonRecord $record): JsonResponse
    {
        $all = $record->of($channel, $viewer, isWhole: true) ?? abort(Response::HTTP_NOT_FOUND);

        return response()->json(
            ['format' => 'silver-parrot-person', 'version' => 1] + $all,
            headers: ['Content-Disposition' => 'attachment; filename="person.json"'],
            options: JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT,
        );
    }

    /** A field is put right by hand, by the rules that responses have. */
    public function field(
        FieldValueRequest $request,
        Channel $channel,
        int $viewer,
        MemoryEditor $memory,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $person = $this->person($channel, $viewer);
        [$field, $value] = [$request->field(), $request->kept()];
        $key = Key::field($field->id, $person->id);
        $memory->change($channel, $user, Reads::of($key), static fn (Memory $now): array => [
            new Change($key, $now->value($key), $value, "viewer.{$field->name}", $person->login),
        ]);

        return redirect()->route('remember.person', [$channel, $viewer])->with('notice', "{$field->name} is saved.");
    }

    public function act(
        ActionRequest $request,
        Channel $channel,
        int $viewer,
        ViewerActions $actions,
        Sentences $sentences,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $done = $actions->do($channel, $this->person($channel, $viewer), $request, $user);
        $reason = $done->outcome['reason'] ?? null;
        $days = is_int($done->outcome['after'] ?? null) ? $done->outcome['after'] : 0;
        $back = redirect()->route('remember.person', [$channel, $viewer]);
        if ($reason instanceof Message) {
            return $back->withInput()->withErrors(['act' => $sentences->of($reason)]);
        }

        return $back->with('notice', match (true) {
            $request->string('do')->value() !== 'check' => 'Done.',
            $done->changes === [] => 'They have checked in today already.',
            default => 'Checked in, '.($days === 1 ? 'for one day.' : "for $days days in a row."),
        });
    }

    public function merge(Request $request, Channel $channel, int $viewer, Merging $merging): RedirectResponse
    {
        $login = mb_strtolower(ltrim(trim($request->string('into')->value()), '@'));
        $others = $channel->viewers()->where('login', $login)->where('id', '<>', $viewer);
        $other = $others->orderByDesc('last_seen')->first();
        $here = $channel->viewers()->whereKey($viewer)->first();
        if ($other === null || $here === null) {
            return redirect()
                ->route('remember.person', [$channel, $viewer])
                ->withInput()
                ->withErrors(['into' => 'Nobody else is called so here. Write the name to sign in with.']);
        }
        if (! $request->boolean('confirmed')) {
            return redirect()
                ->route('remember.person', [$channel, $viewer])
                ->withInput()
                ->with('merging', ['id' => $other->id, 'name' => $other->name, 'login' => $other->login]);
        }
        $this->connection->transaction(function () use ($channel, $viewer, $other, $merging): void {
            $this->connection->selectOne('SELECT id FROM channels WHERE id = ? FOR UPDATE', [$channel->id]);
            $merging->into($channel->id, $viewer, $other->id);
            $this->connection->update('UPDATE channels SET lease_epoch = lease_epoch + 1 WHERE id = ?', [$channel->id]);
        });

        return redirect()
            ->route('remember.person', [$channel, $other->id])
            ->with('notice', "What was {$here->name}’s is {$other->name}’s now.");
    }

    public function erase(Request $request, Channel $channel, int $viewer, Erasing $erasing): RedirectResponse
    {
        if (! $request->boolean('confirmed')) {
            return redirect()->route('remember.person', [$channel, $viewer])->with('erasing', true);
        }

        return redirect()
            ->route('remember.viewers', $channel)
            ->with('notice', $erasing->of($channel, $viewer)
                ? 'They are forgotten for good. What they had stays, as someone’s who left.'
                : 'There is nobody like that any more.');
    }

    private function person(Channel $channel, int $viewer): Person
    {
        /** @var object{service: string, service_id: string, login: string, name: string}|null $row */
        $row = $this->connection->selectOne(
            'SELECT service, service_id, login, name FROM viewers WHERE channel_id = ? AND id = ?',
            [$channel->id, $viewer],
        );
        abort_if($row === null, Response::HTTP_NOT_FOUND);

        return Person::known(
            Viewers::personId($row->service, $row->service_id),
            $row->login,
            $row->name,
            Levels::of(),
            0,
        );
    }
}
