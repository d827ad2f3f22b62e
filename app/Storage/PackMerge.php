<?php

declare(strict_types=1);

namespace App\Storage;

use App\Models\Channel;
use App\Models\CommandRow;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use SilverParrot\Format\Difference;
use SilverParrot\Format\PackFormat;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Limits;

/** Takes parts of another pack into a channel's draft: all that were chosen, or nothing. */
final readonly class PackMerge
{
    public function __construct(
        private CommandRepository $commands,
        private PackRepository $packs,
        private Assembler $assembler,
    ) {
    }

    /**
     * @param  list<Difference>  $taken  between the draft and that pack
     *
     * @throws TriggerTaken when another command has a trigger
     * @throws StaleRevision when somebody saved one of them at this moment
     * @throws CannotMerge when the two together are more than a pack has room for
     */
    public function __invoke(Channel $channel, Pack $pack, array $taken, User $by): void
    {
        DB::transaction(function () use ($channel, $pack, $taken, $by): void {
            foreach ($taken as $difference) {
                $command = $pack->byId($difference->id);
                if ($difference->trigger === '') {
                    $this->packs->merge($channel, $pack);
                } elseif ($command !== null) {
                    $row = $channel->commands()->where('stable_id', $difference->id)->first();
                    $this->save($channel, $row, $command, $by);
                }
            }
            $this->mustBeReadable($channel);
        });
    }

    /** @throws CannotMerge when the two together are more than a pack has room for */
    private function mustBeReadable(Channel $channel): void
    {
        $document = PackFormat::write($this->assembler->document($channel->refresh()));
        $findings = strlen($document) > Limits::PACK ? null : PackFormat::read($document)[1];
        if ($findings !== []) {
            throw CannotMerge::because($findings[0] ?? null);
        }
    }

    private function save(Channel $channel, ?CommandRow $row, Command $command, User $by): void
    {
        $saved = $this->commands->save($channel, $row, $command, $by, $row?->revision);
        if ($row === null) {
            foreach ($command->about->expectations as $expectation) {
                $this->commands->expect($saved, $expectation);
            }
        }
    }
}
