<?php

declare(strict_types=1);

namespace App\Web;

use Amp\Future;
use Amp\TimeoutCancellation;
use App\Models\Channel;
use App\Storage\Assembler;
use App\Write\LookThrough;
use Illuminate\Contracts\Config\Repository;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Database\Connection;
use Illuminate\Foundation\Queue\Queueable;
use SilverParrot\Checks\WrittenAddresses;
use SilverParrot\Lookup\Address\WebAddress;
use SilverParrot\Value\Moment;

use function Amp\async;
use function Amp\Future\await;

/**
 * Looks whether the addresses of a channel's responses still lead somewhere: some at a time, each once a day, those of
 * hosts that are allowed, or all of them where the streamer has said so.
 */
final class LookAtAddresses implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    public int $timeout = 240;

    /** In seconds: one that was lost keeps no other away for longer. */
    public int $uniqueFor = 300;

    /** Of one channel at once. */
    private const MOST = 20;

    /** Seconds for one. */
    private const SECONDS = 5.0;

    public function __construct(public readonly int $channel)
    {
    }

    public static function all(): void
    {
        foreach (Channel::query()->pluck('id') as $id) {
            is_int($id) && self::dispatch($id);
        }
    }

    public function uniqueId(): string
    {
        return (string) $this->channel;
    }

    public function handle(Connection $connection, Repository $config, Assembler $assembler): void
    {
        $channel = Channel::query()->find($this->channel);
        if ($channel === null) {
            return;
        }
        $looked = new AddressesLookedAt($connection);
        $hosts = new Hosts($connection);
        $allowed = $hosts->allowed($channel->id);
        $web = new WebClient($config->string('air.harbour'));
        $before = AddressesLookedAt::wrong($channel);
        $written = WrittenAddresses::in($assembler->pack($channel));
        $looked->forgetBut($channel->id, $written);
        $mayBe = [];
        foreach ($written as $address) {
            $judged = WebAddress::of($address, anyPort: true, known: [WebClient::HARBOUR]);
            if (
                $judged instanceof WebAddress
                && ($channel->looks_at_addresses || in_array($judged->allowedAs(), $allowed, true))
            ) {
                $mayBe[$address] = $judged;
            }
        }
        $names = array_map(strval(...), array_keys($mayBe));
        // All at once: what waits in the queue behind it is not to wait for twenty that never answer.
        await(array_map(
            static fn (string $address): Future => async(static function () use (
                $channel,
                $address,
                $mayBe,
                $hosts,
                $web,
                $looked,
            ): void {
                if ($hosts->take($channel->id, $mayBe[$address]->allowedAs(), Moment::of(now())) === null) {
                    $state = $web->lookAt($mayBe[$address], new TimeoutCancellation(self::SECONDS));
                    $looked->keep($channel->id, $address, $state, Moment::of(now()));
                }
            }),
            $looked->due($channel->id, $names, Moment::of(now()), self::MOST),
        ));
        // What is found in texts hangs on it.
        if (AddressesLookedAt::wrong($channel) != $before) {
            LookThrough::dispatch($channel->id);
        }
    }
}
