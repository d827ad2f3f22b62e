<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\User;
use App\Storage\Assembler;
use App\Storage\CannotMerge;
use App\Storage\PackMerge;
use App\Storage\StaleRevision;
use App\Storage\TriggerTaken;
use App\Wording\Sentences;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use SilverParrot\Format\ChosenChanges;
use SilverParrot\Format\Difference;
use SilverParrot\Format\Differences;
use SilverParrot\Format\PackFormat;
use SilverParrot\Pack\Pack;

/** The whole pack as one document: exported, and imported with a look before. */
final readonly class PackController
{
    /** So long an imported document waits for somebody to choose. */
    private const MINUTES = 60;

    public function __construct(
        private Assembler $assembler,
        private Repository $cache,
        private Sentences $sentences,
    ) {
    }

    public function export(Channel $channel): Response
    {
        $name = preg_replace('/[^a-z0-9_]+/', '-', $channel->login).'.pack.json';

        return response(PackFormat::write($this->assembler->document($channel)), headers: [
            'Content-Type' => 'application/json',
            'Content-Disposition' => "attachment; filename=\"$name\"",
        ]);
    }

    public function look(PackRequest $request, Channel $channel, #[CurrentUser] User $user): View
    {
        $text = $request->document();
        [$pack, $findings] = PackFormat::read($text);
        if ($findings === []) {
            $this->cache->put(self::key($channel, $user), $text, now()->addMinutes(self::MINUTES));
        }

        return $this->page($channel, $pack)->with('findings', $findings);
    }

    public function import(
        Request $request,
        Channel $channel,
        PackMerge $merge,
        #[CurrentUser] User $user,
    ): View|RedirectResponse {
        $text = $this->cache->get(self::key($channel, $user));
        if (! is_string($text)) {
            return redirect()
                ->route('write.import', $channel)
                ->with('notice', 'The document waited too long. Choose it again; nothing was imported.');
        }
        [$pack] = PackFormat::read($text);
        $chosen = new ChosenChanges(
            array_values(array_filter((array) $request->input('changes', []), is_string(...))),
            $request->boolean('rest'),
        );
        $taken = array_values(
            array_filter($this->differences($channel, $pack), static fn (Difference $one): bool => $chosen->has($one)),
        );
        try {
            $merge($channel, $pack, $taken, $user);
        } catch (TriggerTaken|StaleRevision|CannotMerge $trouble) {
            return $this->page($channel, $pack)->with('problem', $trouble->getMessage().' Nothing was imported.');
        }
        LookThrough::dispatch($channel->id);

        return redirect()
            ->route('write', $channel)
            ->with('notice', count($taken) === 1 ? 'One change imported.' : count($taken).' changes imported.');
    }

    private function page(Channel $channel, Pack $pack): View
    {
        return view('write.import-pack', [
            'channel' => $channel,
            'pack' => $pack,
            'findings' => [],
            'problem' => '',
            'differences' => $this->differences($channel, $pack),
            'sentences' => $this->sentences,
        ]);
    }

    /** @return list<Difference> what the document would change; what is only here stays */
    private function differences(Channel $channel, Pack $pack): array
    {
        $differences = [];
        foreach (Differences::between($this->assembler->document($channel), $pack) as $one) {
            if ($one->trigger !== '') {
                $differences[] = $one;

                continue;
            }
            // Whose channel it is, and who talks in it, is no matter of a pack that somebody brings.
            $fields = array_filter(
                $one->fields,
                static fn (array $field, string $name): bool => $field[1] !== ''
                    && preg_match('/^(?:channel|parrot|talkers)\b/', $name) !== 1,
                ARRAY_FILTER_USE_BOTH,
            );
            $differences[] = new Difference('', $fields === [] ? 'dropped' : 'changed', $fields);
        }

        return array_values(
            array_filter($differences, static fn (Difference $one): bool => $one->kind !== 'dropped'),
        );
    }

    private static function key(Channel $channel, User $user): string
    {
        return "imported pack {$channel->id} {$user->id}";
    }
}
