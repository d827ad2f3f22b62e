<?php

declare(strict_types=1);

namespace App\Rehearse\Scripts;

use App\Models\Channel;
use App\Models\CommandRow;
use App\Models\ScriptRow;
use App\Rehearse\Expectations;
use App\Storage\Assembler;
use Illuminate\Support\Facades\DB;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\Scripts\ReadScript;
use SilverParrot\Rehearsal\Scripts\ScriptFormat;
use SilverParrot\Rehearsal\Scripts\ScriptResult;
use SilverParrot\Rehearsal\Scripts\ScriptRun;
use SilverParrot\Source\Wording;

/** Scripts against the draft: each once for a state of it, some at a time, so that nobody waits for all of them. */
final readonly class ScriptRuns
{
    /** In nanoseconds. */
    private const AT_ONCE = 1_500_000_000;

    public function __construct(
        private Assembler $assembler,
        private Wording $wording,
        private Expectations $expectations,
    ) {
    }

    /** Goes on with those that did not run against the draft as it is. */
    public function goOn(Channel $channel): ScriptsStand
    {
        $state = self::state($channel);
        $until = hrtime(true) + self::AT_ONCE;
        $pack = null;
        foreach ($channel->scripts()->whereNot(
            static fn ($of) => $of->where('ran_against', $state)->whereNotNull('ran_against'),
        )->get() as $row) {
            if ($pack !== null && hrtime(true) > $until) {
                break;
            }
            $pack ??= $this->assembler->pack($channel);
            $this->run($channel, $row, $pack, $state);
        }

        return $this->stand($channel);
    }

    /** How all stand, as far as they have run. */
    public function stand(Channel $channel): ScriptsStand
    {
        $state = self::state($channel);
        $all = $channel->scripts()->get();

        return new ScriptsStand(
            $all->all(),
            $all->filter(static fn (ScriptRow $row): bool => $row->ran_against !== $state)->count(),
            $this->replies($channel),
        );
    }

    public function one(Channel $channel, ReadScript $script, bool $isTraced = false): ScriptResult
    {
        return (new ScriptRun($this->assembler->pack($channel), $channel->profile(), $this->wording))->of(
            $script,
            $isTraced,
        );
    }

    private function run(Channel $channel, ScriptRow $row, Pack $pack, string $state): void
    {
        [$script, $findings] = ScriptFormat::read($row->text, $pack);
        $unmet = $findings === [] ? null : $findings[0]->sentence();
        if ($unmet === null && $script !== null) {
            $first = (new ScriptRun($pack, $channel->profile(), $this->wording))->of($script)->firstUnmet()?->unmet;
            $unmet = $first === null ? null : $this->wording->of($first);
        }
        ScriptRow::query()->whereKey($row->id)->where('channel_id', $channel->id)->update([
            'holds' => $unmet === null,
            'unmet' => $unmet === null ? null : mb_substr($unmet, 0, 300),
            'ran_against' => $state,
        ]);
    }

    /** @return array<int, array{command: CommandRow, kept: int, broken: int}> replies that were kept as expected */
    private function replies(Channel $channel): array
    {
        $replies = [];
        $until = hrtime(true) + self::AT_ONCE;
        foreach ($channel->commands()->whereHas('expectations')->orderBy('trigger')->get() as $command) {
            if (hrtime(true) > $until) {
                break;
            }
            $checked = $this->expectations->check($channel, $command);
            $replies[$command->id] = [
                'command' => $command,
                'kept' => count($checked),
                'broken' => count(array_filter($checked, static fn ($one): bool => ! $one->holds())),
            ];
        }

        return $replies;
    }

    /** Changes with whatever the draft is made of. */
    private static function state(Channel $channel): string
    {
        $last = static fn (string $table): string => (string) (
            is_numeric($id = DB::table($table)->where('channel_id', $channel->id)->max('id')) ? $id : 0
        );

        return $last('changes').'-'.$last('definition_changes').'-'.$last('editions');
    }
}
