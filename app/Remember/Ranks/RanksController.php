<?php

declare(strict_types=1);

namespace App\Remember\Ranks;

use App\Models\Channel;
use App\Models\User;
use App\Storage\Assembler;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Ladders;
use App\Write\LookThrough;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\Pack;

/** Ranks by what viewers have: who holds them, what is said of those who come to another, and changing them. */
final readonly class RanksController
{
    public function __construct(private Assembler $assembler, private DefinitionHistory $history)
    {
    }

    public function index(Request $request, Channel $channel, RankHolders $holders): View
    {
        $pack = $this->assembler->names($channel);
        $fields = self::numbers($pack);
        $ladders = [];
        foreach ($fields as $name => $field) {
            $ladder = $pack->ladders[$name] ?? null;
            $ladders[$field->id] = [
                'field' => $field,
                'ladder' => $ladder,
                'holders' => $ladder === null ? [] : $holders->of($channel, $ladder, $field, $pack),
            ];
        }
        $chosen = $ladders[$request->string('of')->value()] ?? array_values($ladders)[0] ?? null;

        return view('remember.ranks', ['channel' => $channel, 'ladders' => $ladders, 'chosen' => $chosen]);
    }

    public function update(
        LadderRequest $request,
        Channel $channel,
        string $stable,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $fields = array_column(self::numbers($this->assembler->names($channel)), null, 'id');
        $field = $fields[$stable] ?? abort(Response::HTTP_NOT_FOUND);
        $kind = new Ladders;
        $this->history->change($channel, $kind, $field->name, $user, null, static fn () => $kind->put(
            $channel,
            $field->name,
            $request->state(),
        ));
        LookThrough::dispatch($channel->id);

        return redirect()
            ->route('remember.ranks', [$channel, 'of' => $field->id])
            ->with('notice', 'The ranks are saved in the draft; publish them to put them on the air.');
    }

    /** @return array<string, Field> those that ranks can go by, by folded name */
    private static function numbers(Pack $pack): array
    {
        return array_filter($pack->fields, static fn (Field $field): bool => $field->type->isNumber());
    }
}
