<?php

declare(strict_types=1);

namespace Tests\Feature\Border;

use App\Accounts\Role;
use App\Models\User;
use App\Publish\Editions;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Illuminate\Support\Facades\Route as Routes;
use Tests\Feature\Air\OnAir;
use Tests\Feature\TestCase;

/** Every route, with what no form sends: never an error of ours, and no row of another channel changed. */
final class MalformedRequestsTest extends TestCase
{
    /** Names of fields that forms have, and some that none has. */
    private const FIELDS = [
        'trigger',
        'aliases',
        'responses',
        'gates',
        'refusals',
        'note',
        'name',
        'email',
        'password',
        'login',
        'language',
        'zone',
        'find',
        'line',
        'chat',
        'speaker',
        'seconds',
        'do',
        'seed',
        'typed',
        'person',
        'focus',
        'revision',
        'command',
        'index',
        'counter',
        'owner',
        'number',
        'occasion',
        'to',
        'word',
        'level',
        'picture',
        'pasted',
        'texts',
        'leave',
        'mend',
        'at',
        'code',
        'from',
        'role',
        'what',
        'pace',
        'trouble',
        'as',
        'text',
        'after',
        'host',
        'port',
        'nick',
        'room',
        'secret',
        'sign_in',
        'account',
        'paused',
        'silent',
        'channel',
        'token',
        'x',
    ];

    /** @return iterable<string, array{mixed}> what stands in every field */
    public static function values(): iterable
    {
        yield 'lists' => [['x', ['y' => 'z']]];
        yield 'bytes that are no UTF-8' => ["\xed\xa0\x80\xff"];
        yield 'a NUL' => ["a\0b"];
        yield 'a number beyond 64 bits' => ['99999999999999999999999'];
        yield 'the lowest number' => ['-9223372036854775808'];
        yield 'a number' => ['7'];
        yield 'nothing' => [''];
        yield 'thirty thousand letters' => [str_repeat('w', 30_000)];
        yield 'signs' => ['[\'"<%_\\{{ }}$(x)`;--/../*%00%ff[[[[['];
        yield 'letters of many bytes' => [str_repeat("e\u{301}\u{1F30A}\u{202E}", 300)];
    }

    #[\PHPUnit\Framework\Attributes\DataProvider('values')]
    public function test_no_request_is_an_error_of_ours(mixed $value): void
    {
        Http::fake(['*' => Http::response('not JSON')]);
        $pia = $this->person('Pia');
        $far = $this->harbour($pia);
        app(Editions::class)->publish($this->cove, '', $this->wren);
        $number = OnAir::of($this->cove)->hear('odo', '!tide');
        $before = $this->rowsOf($far->id);
        $this->wren->forceFill(['is_operator' => true])->save();
        $requests = 0;
        // To whoever may do less, less can happen: they are asked once.
        foreach (
            is_array($value) ? [$this->wren, $this->member('Jonah', Role::Reader), null] : [$this->wren] as $user
        ) {
            /** @var Route $route */
            foreach (Routes::getRoutes() as $route) {
                $user instanceof User ? $this->actingAs($user) : auth()->logout();
                $path = $this->path($route->uri(), $number);
                $fields = array_fill_keys(self::FIELDS, $value);
                $method = $route->methods()[0];
                // How an error is put is the same for any value.
                $json = ['HTTP_ACCEPT' => 'application/json', 'HTTP_X_REQUESTED_WITH' => 'XMLHttpRequest'];
                foreach (is_array($value) ? [[], $json] : [[]] as $server) {
                    // What is taken away comes back, so that the rest is asked of something.
                    $method === 'DELETE' && DB::beginTransaction();
                    $answer = $this->call(
                        $method,
                        $path,
                        $fields,
                        server: $server + [
                            'HTTP_USER_AGENT' => "\xff\xfe".str_repeat('a', 9_000),
                            'HTTP_REFERER' => "http://x/\xff",
                        ],
                    );
                    // What is streamed keeps no exception.
                    $thrown = property_exists($answer->baseResponse, 'exception') ? $answer->exception : null;
                    self::assertLessThan(
                        500,
                        $answer->getStatusCode(),
                        "$method $path {$thrown?->getMessage()} {$thrown?->getFile()}:{$thrown?->getLine()}",
                    );
                    $method === 'DELETE' && DB::rollBack();
                    $requests++;
                }
            }
        }
        self::assertGreaterThan(100, $requests);
        self::assertSame($before, $this->rowsOf($far->id));
        // And every page of the channel still comes.
        $this->actingAs($this->wren);
        foreach (['write', 'write.findings', 'remember', 'publish', 'publish.chat', 'members', 'write.new'] as $name) {
            $this->get(route($name, $this->cove))->assertOk();
        }
    }

    public function test_bodies_that_are_no_forms_are_not_understood_and_harm_nobody(): void
    {
        $this->actingAs($this->wren);
        $deep = str_repeat('{"a":', 600).'1'.str_repeat('}', 600);
        foreach (
            [
                '{',
                'null',
                '1',
                '"x"',
                '[1,2,3]',
                $deep,
                "\xff",
                '{"trigger": {"x": {"y": {"z": 1}}}}',
                '{"trigger": "\u0000"}',
            ] as $body
        ) {
            foreach (['write.preview', 'rehearse.try', 'write.store', 'publish.say'] as $name) {
                $answer = $this->call(
                    'POST',
                    route($name, $this->cove),
                    server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
                    content: $body,
                );
                self::assertContains($answer->getStatusCode(), [200, 400, 422], $body);
            }
        }
        foreach (
            [
                '/channels/99999999999999999999/write',
                '/channels/1e3/write',
                '/channels/-1/write',
                '/channels/0x1/write',
                "/channels/{$this->cove->id}/write/commands/99999999999999999999",
                "/channels/{$this->cove->id}/publish/chat/lines/18446744073709551616/why",
            ] as $path
        ) {
            $this->get($path)->assertNotFound();
        }
    }

    private function path(string $uri, int $number): string
    {
        $values = [
            'channel' => $this->cove->id,
            'command' => $this->cove->commands()->firstOrFail()->id,
            'change' => 1,
            'edition' => $this->cove->editions()->firstOrFail()->id,
            'emote' => 1,
            'expectation' => 1,
            'membership' => 1,
            'invitation' => 1,
            'history' => 1,
            'number' => $number,
            'token' => str_repeat('a', 48),
        ];

        return '/'
            .preg_replace_callback(
                '/\{(\w+)\}/',
                static fn (array $part): string => (string) ($values[$part[1]] ?? 'x'),
                $uri,
            );
    }

    /** @return array<string, string> a digest of all rows of a channel, by table */
    private function rowsOf(int $channel): array
    {
        $digests = [];
        foreach (\App\Storage\Backup\Table::ofChannel() as $table) {
            $digests[$table->name] = hash(
                'sha256',
                json_encode(
                    DB::table($table->name)->where($table->owner, $channel)->orderBy($table->key[0])->get(),
                    JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE,
                ),
            );
        }

        return $digests;
    }
}
