<?php

declare(strict_types=1);

namespace Tests\Feature\Air;

use App\Air\CachedDetails;
use App\Air\ChannelOnAir;
use App\Air\ChatAddress;
use App\Air\ChatConnection;
use App\Air\ConnectionState;
use App\Air\Details;
use App\Air\OutgoingQueue;
use App\Air\RegularsNow;
use App\Air\ServiceWeb;
use App\Air\Speaker;
use App\Storage\MariaDbStore;
use App\Web\WebLookups;
use Illuminate\Support\Facades\DB;
use RuntimeException;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Place;
use SilverParrot\Chat\Saying;
use SilverParrot\Hearing\Driver;
use SilverParrot\Hearing\EventHandler;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Lookup\SearchedReadings;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\FoundQuotes;
use SilverParrot\Memory\FoundRanking;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Turn;
use SilverParrot\Source\MessageKeys;
use Tests\Air\ChatClient;
use Tests\Air\HarbourProcess;
use Tests\Feature\TestCase;

use function Amp\async;
use function Amp\delay;

/** What a turn keeps is said in its own commit where the chat takes it at once, and by and by where it does not. */
final class SpeakerTest extends TestCase
{
    private HarbourProcess $harbour;

    private ChannelOnAir $channel;

    private Speaker $speaker;

    private ChatClient $viewer;

    private int $turns = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->harbour = HarbourProcess::startNear(27880);
        $address = new ChatAddress('127.0.0.1', $this->harbour->chat, 'silver_parrot', 'cove', isNear: true);
        $this->channel = new ChannelOnAir(
            $this->cove->id,
            'cove',
            0,
            's',
            new Driver(new EventHandler, new MariaDbStore(DB::connection(), $this->cove->id)),
            new CachedDetails(new Details(new ServiceWeb('127.0.0.1:1')), 'cove'),
            static fn (): null => null,
            ChatProfile::stream(),
            new SearchedReadings(
                new FoundQuotes(static fn (): array => []),
                new FoundRanking(static fn (): array => []),
            ),
            new MessageKeys,
            new RegularsNow(DB::connection(), $this->cove->id),
            WebLookups::of(DB::connection(), $this->cove->id),
        );
        $this->speaker = new Speaker(new OutgoingQueue(DB::connection()));
        $this->viewer = ChatClient::join($this->harbour->chat, 'quill', 'cove');
        $this->channel->address = $address;
    }

    protected function tearDown(): void
    {
        $this->channel->chat?->end();
        $this->harbour->end();
        parent::tearDown();
    }

    public function test_an_answer_that_the_chat_takes_at_once_is_handed_on_in_its_own_commit(): void
    {
        $this->enter();
        $this->channel->isBehind = false;
        $this->answer('ahoy');
        self::assertSame(['handed'], $this->states());
        $this->assertHears('ahoy');
    }

    public function test_what_was_there_before_is_said_before(): void
    {
        $this->keep(false, new Saying('first'));
        $this->enter();
        $this->answer('second');
        self::assertSame(['handed', 'handed'], $this->states());
        $this->assertHears('first', 'second');
        self::assertFalse($this->channel->isBehind);
    }

    public function test_beyond_the_chats_pace_everything_waits_its_turn(): void
    {
        $this->enter();
        $this->channel->isBehind = false;
        $this->channel->hadSaid(
            array_fill(
                0,
                ($this->channel->state() === ConnectionState::Moderator
                    ? ChatProfile::stream()->oftenForModerators
                    : ChatProfile::stream()->often) - 3,
                1_000,
            ),
        );
        foreach (['one', 'two', 'three', 'four', 'five'] as $text) {
            $this->answer($text);
        }
        self::assertSame(['handed', 'handed', 'handed', 'queued', 'queued'], $this->states());
        $this->channel->hadSaid([]);
        // There is room again, and what waits goes first all the same.
        $this->answer('six');
        $this->assertHears('one', 'two', 'three', 'four', 'five', 'six');
    }

    public function test_what_a_turn_kept_that_was_undone_is_not_said(): void
    {
        $this->enter();
        $this->channel->isBehind = false;
        $undone = new Saying('undone');
        try {
            DB::transaction(function () use ($undone): void {
                $this->keep(true, $undone);
                throw new RuntimeException;
            });
        } catch (RuntimeException) {
        }
        $this->speaker->speak($this->channel);
        $this->answer('kept');
        $this->assertHears('kept');
    }

    public function test_a_whisper_to_nobody_and_a_chat_that_is_away_take_nothing(): void
    {
        self::assertFalse($this->speaker->takes($this->channel, [new Saying('x')]), 'not there yet');
        $this->enter();
        $this->channel->isBehind = false;
        self::assertFalse(
            $this->speaker->takes($this->channel, [
                new Saying('x'),
                new Saying('y', place: Place::Whisper, to: '#cove'),
            ]),
        );
        $this->channel->isBehind = false;
        self::assertTrue(
            $this->speaker->takes($this->channel, [
                new Saying('x'),
                new Saying('y', place: Place::Whisper, to: 'quill'),
            ]),
        );
        $this->channel->isBehind = false;
        self::assertFalse(
            $this->speaker->takes($this->channel, array_fill(0, 101, new Saying('x'))),
            'more than the pace allows',
        );
    }

    private function answer(string $text): void
    {
        $saying = new Saying($text);
        $this->keep(true, $saying);
        $this->speaker->answer($this->channel, [$saying]);
        delay(0.02);
    }

    private function keep(bool $isOnAir, Saying $saying): void
    {
        $store = new MariaDbStore(
            DB::connection(),
            $this->cove->id,
            null,
            $isOnAir ? fn (array $sayings): bool => $this->speaker->takes($this->channel, $sayings) : null,
        );
        $turn = $store->turn(
            EventKey::event('e'.++$this->turns),
            Reads::of(),
            static fn (): Outcome => new Outcome(sayings: [$saying]),
        );
        self::assertInstanceOf(Turn::class, $turn);
    }

    /** @return list<string> */
    private function states(): array
    {
        return array_values(array_map(strval(...), DB::table('outgoing')->orderBy('id')->pluck('state')->all()));
    }

    private function assertHears(string ...$texts): void
    {
        $isThere = $this->viewer->await(
            static fn (ChatClient $self): bool => in_array(end($texts), $self->saidBy('silver_parrot'), true),
        );
        self::assertTrue($isThere);
        self::assertSame($texts, $this->viewer->saidBy('silver_parrot'));
    }

    private function enter(): void
    {
        $address = $this->channel->address;
        self::assertNotNull($address);
        $chat = $this->channel->chat = new ChatConnection($address, static fn (): null => null);
        async(static fn () => $chat->stay());
        for ($tries = 0; $tries < 500 && $this->channel->state() === ConnectionState::Away; $tries++) {
            $chat->beIn(['cove']);
            delay(0.02);
        }
        self::assertNotSame(ConnectionState::Away, $this->channel->state());
    }
}
