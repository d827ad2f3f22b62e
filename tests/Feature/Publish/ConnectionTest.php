<?php

declare(strict_types=1);

namespace Tests\Feature\Publish;

use App\Accounts\Role;
use App\Air\AirSettings;
use App\Models\Channel;
use App\Storage\Definitions\Connection;
use App\Storage\Definitions\DefinitionHistory;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use SilverParrot\Chat\ChatProfile;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\TestCase;

final class ConnectionTest extends TestCase
{
    private const GOOD = [
        'where' => 'server',
        'host' => 'Chat.Lantern-Cove.example',
        'port' => '6697',
        'tls' => '1',
        'room' => '#Cove',
        'nick' => 'silver_parrot',
        'sign_in' => 'account',
        'account' => 'parrot',
        'secret' => 'tar & oakum',
    ];

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
    }

    public function test_a_chat_server_is_kept_and_its_secret_is_neither_readable_nor_shown_again(): void
    {
        $this->choose()->assertRedirect(route('publish', $this->cove));
        $kept = DB::table('channels')->where('id', $this->cove->id)->first();
        self::assertNotNull($kept);
        self::assertStringNotContainsString('oakum', json_encode($kept, JSON_THROW_ON_ERROR));
        $channel = Channel::query()->findOrFail($this->cove->id);
        $address = AirSettings::of(config())->addressOf($channel);
        self::assertSame(
            ['chat.lantern-cove.example', 6697, 'cove', 'tar & oakum', true],
            [$address->host, $address->port, $address->name, $address->secret, $address->tls],
        );
        self::assertStringNotContainsString('oakum', print_r($address, true));
        self::assertArrayNotHasKey('chat_secret', $channel->toArray());
        self::assertEquals(ChatProfile::irc(), $channel->profile());
        $this->get(route('publish.connection', $this->cove))
            ->assertOk()
            ->assertSee('kept, and not shown')
            ->assertDontSee('oakum');
    }

    public function test_a_secret_never_goes_where_it_was_not_meant_for(): void
    {
        $this->choose();
        $this->choose(['secret' => '', 'room' => 'other'])->assertSessionHasNoErrors();
        self::assertSame('tar & oakum', $this->cove->refresh()->chat_secret, 'the same server and account: it is kept');
        $others = [
            ['host' => 'elsewhere.example'],
            ['port' => '6698'],
            ['account' => 'another'],
            ['sign_in' => 'password'],
        ];
        foreach ($others as $changed) {
            $this->followingRedirects()->choose($changed + ['secret' => ''])->assertSee('Give the secret');
        }
        $this->choose(['sign_in' => 'none'])->assertSessionHasNoErrors();
        self::assertNull($this->cove->refresh()->chat_secret);
    }

    /** @return iterable<string, array{array<string, string>, string}> what is typed, and what is said to it */
    public static function mistakes(): iterable
    {
        yield 'no server' => [['host' => ''], 'Name the chat server'];
        yield 'no way of signing in' => [['sign_in' => ''], 'Choose how'];
        yield 'an address of another kind' => [['host' => 'irc://chat.example'], 'without a port and without'];
        yield 'a port in it' => [['host' => 'chat.example:6697'], 'without a port'];
        yield 'a line break' => [['host' => "chat.example\nQUIT"], 'letters, digits'];
        yield 'no port' => [['port' => '70000'], 'A port is a whole number'];
        yield 'two channels' => [['room' => 'cove,other'], 'without spaces and commas'];
        yield 'a name with a space' => [['nick' => 'silver parrot'], 'name there has 1 to 30'];
        yield 'no account' => [['account' => ''], 'Signing in needs'];
        yield 'a secret in the open' => [['tls' => '0'], 'over an encrypted connection only'];
        yield 'a secret of two lines' => [['secret' => "tar\r\nQUIT"], 'on one line'];
        yield 'a way of signing in that is none' => [['sign_in' => 'magic'], 'Choose how'];
    }

    /** @param  array<string, string>  $typed */
    #[DataProvider('mistakes')]
    public function test_a_mistake_is_told_beside_its_place_and_nothing_typed_is_lost(array $typed, string $told): void
    {
        $beside = isset($typed['tls']) ? ['secret' => ''] : $typed;
        $this->followingRedirects()
            ->choose($typed)
            ->assertSee($told)
            ->assertSee('aria-invalid', false)
            ->assertSee('aria-describedby="'.array_key_first($beside).'-problem"', false)
            ->assertSee('value="'.e($typed['nick'] ?? self::GOOD['nick']).'"', false)
            ->assertDontSee('oakum');
        self::assertNull($this->cove->refresh()->chat_server);
    }

    public function test_only_the_streamer_chooses_and_the_harbour_needs_nothing(): void
    {
        $this->actingAs($this->member('Ilse', Role::Author));
        $this->choose()->assertForbidden();
        $this->actingAs($this->wren);
        $this->choose()->assertSessionHasNoErrors();
        $this->choose(['where' => 'harbour', 'host' => 'what was typed there'])->assertSessionHasNoErrors();
        self::assertSame([null, null], [$this->cove->refresh()->chat_server, $this->cove->chat_secret]);
        self::assertTrue(AirSettings::of(config())->addressOf($this->cove)->isNear);
    }

    public function test_two_who_save_do_not_overwrite_each_other(): void
    {
        $this->choose()->assertSessionHasNoErrors();
        $this->followingRedirects()
            ->choose(['host' => 'later.example', 'seen' => '0'])
            ->assertSee('Somebody changed this meanwhile')
            ->assertSee('value="later.example"', false);
        self::assertSame('chat.lantern-cove.example', $this->cove->refresh()->chat_server['host'] ?? null);
    }

    /**
     * @param  array<string, string>  $typed
     * @return TestResponse<Response>
     */
    private function choose(array $typed = []): TestResponse
    {
        $page = route('publish.connection', $this->cove);
        $seen = (string) DefinitionHistory::revision($this->cove, new Connection);

        return $this->from($page)->put($page, $typed + ['seen' => $seen] + self::GOOD);
    }
}
