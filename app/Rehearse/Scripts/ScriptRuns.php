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
use SilverParrot\Rehearsal\Coverage\Reached;
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
        $this->advance($channel);

        return $this->stand($channel);
    }

    public function advance(Channel $channel): void
    {
        $state = self::state($channel);
        $until = hrtime(true) + self::AT_ONCE;
        $pack = $run = null;
        foreach ($channel->scripts()->whereNot(
            static fn ($of) => $of->where('ran_against', $state)->whereNotNull('ran_against'),
        )->get() as $row) {
            if ($pack !== null && hrtime(true) > $until) {
                break;
            }
            $pack ??= $this->assembler->pack($channel);
            $run ??= new ScriptRun($pack, $channel->profile(), $this->wording);
            $this->run($channel, $row, $pack, $run, $state);
        }
    }

    /** How all stand, as far as they have run, with the replies that are kept as expected. */
    public function stand(Channel $channel): ScriptsStand
    {
        $scripts = $this->scripts($channel);
        $reached = new Reached;
        $reached->keys = $scripts->reached;
        $replies = $this->replies($channel, $reached);

        return new ScriptsStand($scripts->scripts, $scripts->left, $replies, $reached->keys);
    }

    /** How scripts stand, as far as they have run. */
    public function scripts(Channel $channel): ScriptsStand
    {
        $state = self::state($channel);
        $all = $channel->scripts()->get();
        $reached = [];
        foreach ($all as $row) {
            $reached += array_fill_keys($row->reached ?? [], true);
        }

        return new ScriptsStand(
            $all->all(),
            $all->filter(static fn (ScriptRow $row): bool => $row->ran_against !== $state)->count(),
            reached: $reached,
        );
    }

    public function one(Channel $channel, ReadScript $script, bool $isTraced = false): ScriptResult
    {
        return (new ScriptRun($this->assembler->pack($channel), $channel->profile(), $this->wording))->of(
            $script,
            $isTraced,
        );
    }

    private function run(Channel $channel, ScriptRow $row, Pack $pack, ScriptRun $run, string $state): void
    {
        [$script, $findings] = ScriptFormat::read($row->text, $pack);
        $result = $findings === [] && $script !== null ? $run->of($script, true) : null;
        $first = $result?->firstUnmet()?->unmet;
        $unmet = match (true) {
            $findings !== [] => $findings[0]->sentence(),
            $first !== null => $this->wording->of($first),
            default => null,
        };
        ScriptRow::query()->whereKey($row->id)->where('channel_id', $channel->id)->update([
            'holds' => $unmet === null,
            'unmet' => $unmet === null ? null : mb_substr($unmet, 0, 300),
            'ran_against' => $state,
            'reached' => json_encode(
                $result === null ? [] : array_keys(Reached::in($result->heard)->keys),
                JSON_THROW_ON_ERROR,
            ),
        ]);
    }

    /** @return array<int, array{command: CommandRow, kept: int, broken: int}> replies that were kept as expected */
    private function replies(Channel $channel, Reached $reached): array
    {
        $replies = [];
        $until = hrtime(true) + self::AT_ONCE;
        foreach ($channel->commands()->whereHas('expectations')->orderBy('trigger')->get() as $command) {
            if (hrtime(true) > $until) {
                break;
            }
            $checked = $this->expectations->check($channel, $command, null, $reached);
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
