<?php

declare(strict_types=1);

namespace App\Publish;

use App\Models\Channel;
use App\Models\Edition;
use App\Models\User;
use App\Storage\Assembler;
use Illuminate\Support\Facades\DB;
use SilverParrot\Format\PackFormat;
use SilverParrot\Hearing\Gates\Enabled;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;

/** Putting packs on the air, and taking them off. */
final readonly class Editions
{
    public function __construct(private Assembler $assembler)
    {
    }

    /**
     * The draft becomes the next edition, and that one is on the air.
     *
     * @throws PackTooLarge when nobody could read it back
     */
    public function publish(Channel $channel, string $note, User $by): Edition
    {
        return DB::transaction(function () use ($channel, $note, $by): Edition {
            $channel->newQuery()->whereKey($channel->id)->lockForUpdate()->firstOrFail();
            $document = PackFormat::write($this->assembler->document($channel));
            if (strlen($document) > Limits::PACK) {
                throw PackTooLarge::of(strlen($document));
            }
            $number = ($channel->editions()->orderByDesc('number')->first()->number ?? 0) + 1;
            $edition = Edition::query()->create([
                'channel_id' => $channel->id,
                'number' => $number,
                'note' => $note,
                'document' => $document,
                'user_id' => $by->id,
            ]);
            $channel
                ->newQuery()
                ->whereKey($channel->id)
                ->update(['edition_on_air' => $number, 'silenced' => '[]']);

            return $edition;
        });
    }

    /** An older edition, or a newer one, is on the air from now on. */
    public function putOnAir(Channel $channel, Edition $edition): void
    {
        $channel->newQuery()->whereKey($channel->id)->update(['edition_on_air' => $edition->number]);
    }

    public function pause(Channel $channel, bool $paused): void
    {
        $channel->newQuery()->whereKey($channel->id)->update(['paused' => $paused]);
    }

    /** One command of those on the air falls silent, or speaks again, at once and without an edition. */
    public function silence(Channel $channel, string $trigger, bool $silent): void
    {
        DB::transaction(function () use ($channel, $trigger, $silent): void {
            $current = $channel->newQuery()->whereKey($channel->id)->lockForUpdate()->firstOrFail();
            $id = $this->onAir($current)?->command($trigger)?->id;
            if ($id === null) {
                return;
            }
            $others = array_values(array_diff($current->silenced, [Fold::caseless($id)]));
            $current->update(['silenced' => $silent ? [...$others, Fold::caseless($id)] : $others]);
        });
    }

    /** @param  bool  $asPublished  with those too that were silenced since */
    public function onAir(Channel $channel, bool $asPublished = false): ?Pack
    {
        $edition =
            $channel->edition_on_air === null
                ? null
                : $channel->editions()->where('number', $channel->edition_on_air)->first();

        return $edition === null ? null : self::packOf($edition, $asPublished ? [] : $channel->silenced);
    }

    /** @param  list<string>  $silenced folded ids of commands */
    public static function packOf(Edition $edition, array $silenced = []): Pack
    {
        [$pack] = PackFormat::read($edition->document);
        foreach ($pack->commands as $command) {
            if (in_array(Fold::caseless($command->id), $silenced, true)) {
                $pack = $pack->withCommand($command->gated(Enabled::silenced()), $command->trigger);
            }
        }

        return $pack;
    }
}
