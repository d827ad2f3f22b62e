<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\CommandRow;
use App\Models\User;
use App\Storage\CommandRepository;
use App\Storage\StaleRevision;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The findings of the whole pack on one page, and mending them there. */
final readonly class FindingsController
{
    /** Commands on one page, the worst first; more come up as these are mended. */
    private const MOST = 100;

    public function __construct(private Findings $findings, private CommandRepository $rows)
    {
    }

    public function index(Channel $channel): View
    {
        $found = $this->findings->of($channel);
        $groups = array_slice($found->groups, 0, self::MOST);
        $rows = $channel->commands()->whereKey(array_column($groups, 'number'))->get()->keyBy('id');

        return view('write.findings', [
            'channel' => $channel,
            'found' => $found,
            'more' => max(0, count($found->groups) - self::MOST),
            'groups' => array_map(
                static fn (array $group): array => $group + ['row' => $rows->get($group['number'])],
                $groups,
            ),
        ]);
    }

    public function mend(
        Request $request,
        Channel $channel,
        CommandRow $command,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $mended = $this->findings->mended(
            $channel,
            $command,
            $request->string('at')->value(),
            $request->string('code')->value(),
            $request->integer('from'),
        );
        $notice = "{$command->trigger} is mended.";
        try {
            if ($mended === null) {
                $notice = "{$command->trigger} has changed since; nothing was mended.";
            } else {
                $this->rows->save($channel, $command, $mended, $user, $request->integer('revision'));
            }
        } catch (StaleRevision) {
            $notice = "Somebody saved {$command->trigger} meanwhile; nothing was mended. Look at it and press again.";
        }

        return redirect()->to(route('write.findings', $channel)."#command-{$command->id}")->with('notice', $notice);
    }
}
