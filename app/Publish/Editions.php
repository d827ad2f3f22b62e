<?php

declare(strict_types=1);

namespace App\Publish;

use App\Models\Channel;
use App\Models\Edition;
use App\Models\User;
use App\Models\Viewer;
use App\Storage\Assembler;
use Closure;
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
     * @throws CannotPublish when nobody could read it back
     */
    public function publish(Channel $channel, string $note, User $by): Edition
    {
        return self::locked($channel, fn (): Edition => self::put(
            $channel,
            $this->assembler->document($channel),
            $note,
            $by,
        ));
    }

    /**
     * One writer of definitions at a time: what is looked at stays so until it is published.
     *
     * @template T
     *
     * @param  Closure(): T  $then
     * @return T
     */
    public static function locked(Channel $channel, Closure $then): mixed
    {
        return DB::transaction(static function () use ($channel, $then): mixed {
            $channel->newQuery()->whereKey($channel->id)->lockForUpdate()->firstOrFail();

            return $then();
        });
    }

    /**
     * A pack becomes the next edition, and that one is on the air.
     *
     * @param  list<string>|null  $changed  ids of the commands that are otherwise now, whose replies go on; those of
     *     others stay stopped. null: the replies of all go on
     *
     * @throws CannotPublish when nobody could read it back
     */
    public static function put(
        Channel $channel,
        Pack $pack,
        string $note,
        User|Viewer $by,
        ?array $changed = null,
    ): Edition {
        $document = PackFormat::write($pack);
        if (strlen($document) > Limits::PACK) {
            throw CannotPublish::tooLarge(strlen($document));
        }
        $number = ($channel->editions()->orderByDesc('number')->first()->number ?? 0) + 1;
        $edition = Edition::query()->create([
            'channel_id' => $channel->id,
            'number' => $number,
            'note' => $note,
            'document' => $document,
            'user_id' => $by instanceof User ? $by->id : null,
        ]);
        $silent = $changed === null
            ? []
            : array_values(array_diff($channel->refresh()->silenced, array_map(Fold::caseless(...), $changed)));
        $channel
            ->newQuery()
            ->whereKey($channel->id)
            ->update(['edition_on_air' => $number, 'silenced' => json_encode($silent)]);

        return $edition;
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
