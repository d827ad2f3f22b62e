<?php

declare(strict_types=1);

namespace Tests\Feature\Air;

use App\Air\CachedDetails;
use App\Air\ChannelOnAir;
use App\Air\Details;
use App\Air\Log;
use App\Air\LogEntry;
use App\Air\RegularsNow;
use App\Air\ServiceWeb;
use App\Models\Channel;
use App\Publish\Editions;
use App\Storage\MariaDbQuotes;
use App\Storage\MariaDbRanking;
use App\Storage\MariaDbStore;
use App\Web\WebClient;
use App\Web\WebLookups;
use Illuminate\Support\Facades\DB;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\Driver;
use SilverParrot\Hearing\EventHandler;
use SilverParrot\Lookup\SearchedReadings;
use SilverParrot\Source\Wording;
use SilverParrot\Value\Moment;

/** A channel on the air without a chat: lines are heard, kept and logged as the talker does it. */
final class OnAir
{
    private int $heard = 0;

    private function __construct(private readonly Channel $channel, public readonly ChannelOnAir $air)
    {
    }

    public static function of(Channel $channel, WebClient $web = new WebClient): self
    {
        $air = new ChannelOnAir(
            $channel->id,
            $channel->login,
            0,
            $channel->seed,
            new Driver(new EventHandler, new MariaDbStore(DB::connection(), $channel->id)),
            new CachedDetails(new Details(new ServiceWeb('127.0.0.1:1')), $channel->login),
            static fn (): null => null,
            $channel->profile(),
            new SearchedReadings(
                new MariaDbQuotes(DB::connection(), $channel->id),
                new MariaDbRanking(DB::connection(), $channel->id),
            ),
            app(Wording::class),
            new RegularsNow(DB::connection(), $channel->id),
            WebLookups::of(DB::connection(), $channel->id, $web),
        );
        $air->regulars->read();
        $air->pack = app(Editions::class)->onAir($channel->refresh());
        $air->edition = (int) $channel->edition_on_air;

        return new self($channel, $air);
    }

    /** @return int the line's number in the log */
    public function hear(string $login, string $text, Level ...$levels): int
    {
        $this->air->hear(
            new ChatLine(
                'line-'.++$this->heard,
                Person::known("account:$login", $login, ucfirst($login), Levels::of(...$levels)),
                $text,
                Moment::of(now())->plusMillis($this->heard * 60_000),
            ),
        );

        return $this->kept();
    }

    /** What the chat says now of what was said in it. */
    public function notice(string $text): int
    {
        $this->air->log(LogEntry::NOTICE, '', Person::unknown('chat'), $text, Moment::of(now()));

        return $this->kept();
    }

    private function kept(): int
    {
        [$lines, $this->air->unwritten] = [$this->air->unwritten, []];
        (new Log(DB::connection()))->keep($this->channel->id, $lines);

        return (int) array_key_last($lines);
    }
}
