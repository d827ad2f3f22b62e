<?php

declare(strict_types=1);

namespace App\Remember\Regulars;

use App\Models\Channel;
use App\Models\User;
use App\Remember\MemoryEditor;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\RegularRules;
use App\Storage\MariaDbStore;
use App\Storage\Viewers;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Connection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\RegularState;
use SilverParrot\Memory\View as Memory;
use SilverParrot\Value\Moment;

/** Regulars: since when, why, how often seen, until when; given and taken by hand, and how they are earned. */
final readonly class RegularsController
{
    private const SHOWN = 200;

    public function __construct(private Connection $connection, private MemoryEditor $memory)
    {
    }

    public function index(Channel $channel): View
    {
        $now = Moment::of(now());
        $regulars = [];
        foreach (
            $this->connection->select(
                'SELECT v.id, v.login, v.name, v.`lines`, v.days, v.minutes_here, v.last_seen, r.state FROM regulars r '
                    .'JOIN viewers v ON v.id = r.viewer_id AND v.channel_id = r.channel_id WHERE '
                    .'r.channel_id = ? ORDER BY r.id DESC LIMIT '.self::SHOWN,
                [$channel->id],
            ) as $row
        ) {
            /**
             * @var object{id: int, login: string, name: string, lines: int|null, days: int, minutes_here: int,
             *     last_seen: string|null, state: string} $row
             */
            $state = RegularState::fromJson($row->state);
            if ($state !== null) {
                $regulars[] = ['viewer' => $row, 'state' => $state, 'holds' => $state->holdsAt($now)];
            }
        }

        return view('remember.regulars', ['channel' => $channel, 'regulars' => $regulars]);
    }

    public function store(Request $request, Channel $channel, #[CurrentUser] User $user): RedirectResponse
    {
        $request->validate(
            ['login' => ['required', 'string', 'max:60'], 'until' => ['nullable', 'date_format:Y-m-d\TH:i']],
            ['until.date_format' => 'That is no date.'],
        );
        $login = $request->string('login')->trim()->ltrim('@')->lower()->value();
        $person = $this->person($channel, $login);
        if ($person === null) {
            return back()->withInput()->withErrors(['login' => "“{$login}” was never seen in this chat."]);
        }
        $until = $request->filled('until')
            ? Moment::of(Carbon::parse($request->string('until')->value(), $channel->zone))
            : null;
        if ($until !== null && $until->millis <= Moment::of(now())->millis) {
            return back()->withInput()->withErrors(['until' => 'That is past.']);
        }
        $this->put($channel, $person, RegularState::BY_HAND, $until, $user);

        return redirect()->route('remember.regulars', $channel)->with('notice', "{$person->name} is a regular now.");
    }

    /** By hand, so that they do not become one again by what they write. */
    public function destroy(Channel $channel, int $viewer, #[CurrentUser] User $user): RedirectResponse
    {
        /** @var object{service: string, service_id: string, login: string, name: string}|null $row */
        $row = $this->connection->selectOne(
            'SELECT service, service_id, login, name FROM viewers WHERE channel_id = ? AND id = ?',
            [$channel->id, $viewer],
        );
        abort_if($row === null, 404);
        $person = Person::known(
            Viewers::personId($row->service, $row->service_id),
            $row->login,
            $row->name,
            Levels::of(),
        );
        $this->put($channel, $person, RegularState::NEVER, null, $user);

        return redirect()
            ->route('remember.regulars', $channel)
            ->with('notice', "{$person->name} is no longer a regular, and will not become one automatically.");
    }

    public function rule(
        Request $request,
        Channel $channel,
        DefinitionHistory $history,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $request->validate([
            'lines' => ['nullable', 'integer', 'min:0', 'max:1000000'],
            'days' => ['nullable', 'integer', 'min:0', 'max:10000'],
            'hours' => ['nullable', 'integer', 'min:0', 'max:100000'],
        ]);
        $rules = new RegularRules;
        $history->change($channel, $rules, '', $user, $request->integer('seen'), static fn () => $rules->put(
            $channel,
            '',
            [
                'lines' => $request->integer('lines'),
                'days' => $request->integer('days'),
                'hours' => $request->integer('hours'),
            ],
        ));

        return redirect()
            ->route('remember.regulars', $channel)
            ->with('notice', 'Saved in the draft; publish it to put it on the air.');
    }

    private function put(Channel $channel, Person $person, string $why, ?Moment $until, User $by): void
    {
        $this->memory->change(
            $channel,
            $by,
            Reads::of(Key::regular($person->id)),
            static fn (Memory $memory): array => [
                RegularState::change($person, $why, Moment::of(now()), $until, $memory),
            ],
        );
    }

    private function person(Channel $channel, string $login): ?Person
    {
        $key = Key::person($login);

        return Person::fromRecord(
            (new MariaDbStore($this->connection, $channel->id))->snapshot(Reads::of($key))->value($key),
        );
    }
}
