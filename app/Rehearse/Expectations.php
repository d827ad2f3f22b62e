<?php

declare(strict_types=1);

namespace App\Rehearse;

use App\Models\Channel;
use App\Models\CommandRow;
use App\Models\ExpectationRow;
use App\Storage\Assembler;
use App\Storage\CommandRepository;
use Illuminate\Database\Eloquent\Collection;
use SilverParrot\Hearing\TriggerMatch;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Expectation;
use SilverParrot\Rehearsal\Coverage\Reached;
use SilverParrot\Rehearsal\ExpectationResult;
use SilverParrot\Rehearsal\Expected;
use SilverParrot\Rehearsal\Heard;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Wording;

/** The replies that are expected of a command, and whether it still gives them. */
final readonly class Expectations
{
    public function __construct(private Assembler $assembler, private Wording $wording)
    {
    }

    /**
     * @param  Command|null  $draft  as it is being written; null for as it is saved
     * @param  Reached|null  $reached  told of what they come to
     * @return array<int, ExpectationResult> by the row's number
     */
    public function check(
        Channel $channel,
        CommandRow $command,
        ?Command $draft = null,
        ?Reached $reached = null,
    ): array {
        $rows = $command->expectations()->get();
        if ($rows->isEmpty()) {
            return [];
        }
        $saved = CommandRepository::toCore($command)->triggers;
        $written = $draft === null || $draft->trigger === '' ? $saved : $draft->triggers;
        $asked = [];
        foreach ($rows as $row) {
            /** @var ExpectationRow $row */
            $asked[$row->id] = $row->document->asking(TriggerMatch::renamed($row->document->line, $saved, $written));
        }
        $pack = $this->assembler->reachedBy(
            $channel,
            array_values(array_map(static fn (Expectation $one): string => $one->line, $asked)),
        );
        if ($draft !== null && $draft->trigger !== '') {
            $pack = $pack->withCommand($draft, $command->trigger);
        }
        $holdings = array_map(
            fn (Expectation $one): ExpectationResult => Expected::check(
                $pack,
                $one,
                $channel->profile(),
                $this->wording,
                $reached,
            ),
            $asked,
        );

        return $holdings;
    }

    /** Whether the same answer to the same line of the same person is expected already. */
    public function isKept(CommandRow $command, Expectation $expectation): bool
    {
        return in_array(self::identity($expectation), self::identities($command->expectations()->get()), true);
    }

    /**
     * @param  list<Heard>  $heard
     * @return list<int> the numbers of those whose answer is expected already
     */
    public function among(Channel $channel, array $heard): array
    {
        $ids = [];
        foreach ($heard as $one) {
            $ids[] = $one->outcome->command->id ?? '';
        }
        $kept = self::identities(
            ExpectationRow::query()
                ->where('channel_id', $channel->id)
                ->whereIn('command_id', $channel->commands()->whereIn('stable_id', $ids)->select('id'))
                ->get(),
        );
        $among = [];
        foreach ($kept === [] ? [] : $heard as $one) {
            $identity = self::identityOf($one->line->text, $one->by->login ?? '', $one->outcome->texts());
            if ($one->number !== null && in_array($identity, $kept, true)) {
                $among[] = $one->number;
            }
        }

        return $among;
    }

    /**
     * @param  Collection<int, ExpectationRow>  $rows
     * @return list<string>
     */
    private static function identities(Collection $rows): array
    {
        return array_values(
            $rows->map(static fn (ExpectationRow $row): string => self::identity($row->document))->all(),
        );
    }

    private static function identity(Expectation $one): string
    {
        return self::identityOf($one->line, $one->by, $one->says);
    }

    /** @param  list<string>  $says */
    private static function identityOf(string $line, string $by, array $says): string
    {
        return implode("\x1F", [Fold::caseless($by), $line, ...$says]);
    }
}
