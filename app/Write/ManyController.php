<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\User;
use App\Storage\CommandRepository;
use Closure;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use SilverParrot\Chat\Level;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\Enabled;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\CommandMetadata;
use SilverParrot\Value\Number;

/** Many commands at once: switched, moved, given a cooldown or a level, deleted; with one undo. */
final readonly class ManyController
{
    private const GROUP = 60;

    public function __construct(private CommandRepository $rows, private CommandList $list)
    {
    }

    public function store(Request $request, Channel $channel, #[CurrentUser] User $user): View|RedirectResponse
    {
        $ids = $this->chosen($request, $channel);
        $do = $this->change($request);
        if ($ids === [] || is_string($do)) {
            return $this->list->after($request, $channel, is_string($do) ? $do : 'Select commands first.');
        }
        [$batch, $count] = $this->rows->changeAll($channel, $ids, $do, $user);
        $commands = $count === 1 ? 'One command' : number_format($count).' commands';

        return $this->list->after(
            $request,
            $channel,
            $count === 0 ? 'They are that already; nothing was changed.' : $commands.self::told($request).'.',
            $count === 0 ? null : route('write.many.undo', [$channel, $batch]),
        );
    }

    public function undo(
        Request $request,
        Channel $channel,
        string $batch,
        #[CurrentUser] User $user,
    ): View|RedirectResponse {
        [$done, $kept] = $this->rows->undoAll($channel, $batch, $user);

        return $this->list->after($request, $channel, match (true) {
            $kept === 0 && $done === 1 => 'One command is as it was.',
            $kept === 0 => number_format($done).' commands are as they were.',
            default => number_format($done).' are as they were; '.number_format($kept).' changed since, and stay.',
        });
    }

    /** @return list<int> rows of the channel */
    private function chosen(Request $request, Channel $channel): array
    {
        $query = match (true) {
            $request->boolean('all') => FindCommands::matching($channel, $request->string('find')->value()),
            $request->has('in') => $channel->commands()->getQuery()->where('group', $request->string('in')->value()),
            default => $channel->commands()->getQuery()->whereIn('id', array_filter(
                (array) $request->input('chosen', []),
                is_numeric(...),
            )),
        };

        return array_values(array_filter($query->orderBy('id')->pluck('id')->all(), is_int(...)));
    }

    /** @return Closure(Command): ?Command|string what becomes of each, null for nothing more; or what is wrong */
    private function change(Request $request): Closure|string
    {
        $typed = trim($request->string('value')->value());
        $seconds = Number::typed($typed);
        $level = Level::named($request->string('level')->value());

        return match ($request->string('do')->value()) {
            'on' => static fn (Command $one): Command => $one->gated(new Enabled(true)),
            'off' => static fn (Command $one): Command => $one->gated(new Enabled(false)),
            'group' => mb_strlen($typed) > self::GROUP
                ? 'A group’s name has at most '.self::GROUP.' characters.'
                : static fn (Command $one): Command => $one->described(new CommandMetadata(
                    $typed,
                    $one->about->note,
                    $one->about->listed,
                    $one->about->expectations,
                )),
            'cooldown' => is_int($seconds) && $seconds >= 0 && $seconds <= Cooldown::LONGEST
                ? static fn (Command $one): Command => $one->gated($one->gates->get(Cooldown::class)->forAll($seconds))
                : 'A cooldown is a whole number of seconds from 0 to '.number_format(Cooldown::LONGEST).'.',
            'level' => $level === null ? 'Choose a level.' : static fn (Command $one): Command => $one->gated(
                $one->gates->get(ForLevels::class)->from($level),
            ),
            'delete' => static fn (Command $one): ?Command => null,
            default => 'Choose what to do with them.',
        };
    }

    private static function told(Request $request): string
    {
        $typed = trim($request->string('value')->value());

        return match ($request->string('do')->value()) {
            'on' => ' switched on',
            'off' => ' switched off',
            'group' => $typed === '' ? ' moved out of their group' : " moved to $typed",
            'cooldown' => " with a cooldown of $typed s",
            'level' => ' with another level',
            default => ' deleted',
        };
    }
}
