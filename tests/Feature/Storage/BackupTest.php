<?php

declare(strict_types=1);

namespace Tests\Feature\Storage;

use App\Accounts\Role;
use App\Models\Channel;
use App\Publish\Editions;
use App\Remember\MemoryHistory;
use App\Storage\Assembler;
use App\Storage\Backup\Backup;
use App\Storage\Backup\BackupFailed;
use App\Storage\Backup\BackupFile;
use App\Storage\Backup\Restore;
use App\Storage\Backup\Table;
use App\Storage\MariaDbStore;
use App\Wording\Sentences;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use SilverParrot\Chat\Level;
use SilverParrot\Format\PackFormat;
use SilverParrot\Hearing\CommandSummary;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Owner;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Tally;
use Tests\Feature\Air\OnAir;
use Tests\Feature\TestCase;

final class BackupTest extends TestCase
{
    private string $file;

    /**
     * A backup is a transaction of its own, so the tests' rows must be there for good; they are taken away afterwards.
     */
    protected function connectionsToTransact(): array
    {
        return [];
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->file = sys_get_temp_dir().'/parrot-'.bin2hex(random_bytes(4)).'.backup';
        $this->member('Ilse', Role::Author);
        app(Editions::class)->publish($this->cove, 'one', $this->wren);
        OnAir::of($this->cove)->hear('odo', '!tide', Level::Follower);
        $this->cove->update([
            'chat_server' => [
                'host' => 'chat.example',
                'port' => 6697,
                'tls' => true,
                'nick' => 'p',
                'room' => 'c',
                'sign_in' => 'account',
                'account' => 'p',
            ],
            'chat_secret' => 'oakum',
            'lease_epoch' => 4,
        ]);
    }

    protected function tearDown(): void
    {
        @unlink($this->file);
        DB::table('sessions')->delete();
        foreach (array_reverse(Table::all()) as $table) {
            DB::table($table->name)->delete();
        }
        $this->makeDemo();
        parent::tearDown();
    }

    public function test_no_table_is_forgotten(): void
    {
        $left = [
            'cache',
            'cache_locks',
            'command_findings',
            // Who is forgotten stays so, whatever backup is put back.
            'erased_people',
            'failed_jobs',
            'jobs',
            'invitations',
            'migrations',
            'password_reset_tokens',
            'sessions',
            // What a rehearsal came to is kept for a week, and can be had again.
            'rehearsal_checkpoints',
            'rehearsal_marks',
            'rehearsal_runs',
            'rehearsals',
            'sign_in_links',
            'stream_grants',
            // What was fetched is fetched again, and how often it was asked is counted anew.
            'web_answers',
            'web_hosts',
        ];
        $all = array_map(
            static fn (array $table): string => $table['name'],
            Schema::getTables(DB::connection()->getDatabaseName()),
        );
        self::assertEqualsCanonicalizing(array_diff($all, $left), array_keys(Table::all()));
        foreach (Table::ofChannel() as $table) {
            self::assertTrue(Schema::hasColumn($table->name, $table->owner), $table->name);
        }
    }

    public function test_one_channel_is_put_back_beside_others_which_stay_as_they_are_to_the_byte(): void
    {
        $far = $this->harbour($this->person('Pia'));
        app(Editions::class)->publish($far, 'theirs', $this->wren);
        OnAir::of($far)->hear('odo', '!bell');
        $this->backup('lantern_cove');
        $kept = $this->everything($this->cove);
        $theirs = $this->everything($far);
        // Life goes on in both.
        (new MariaDbStore(DB::connection(), $this->cove->id))->turn(
            EventKey::event('later'),
            Reads::of(),
            static fn (): Tally => new Tally([
                new Change(Key::counter('planks'), null, 399, 'counter.planks', 'channel'),
            ]),
        );
        $this->command('!tide')->delete();
        $this->cove->update(['lease_epoch' => 9, 'lease_holder' => 'a talker', 'lease_until' => now()->addSeconds(4)]);

        self::assertSame([], $this->restore('lantern_cove'));
        self::assertSame($theirs, $this->everything($far));
        $channel = $this->cove->refresh();
        self::assertSame(
            [true, 10, 'oakum', 'chat.example'],
            [$channel->paused, $channel->lease_epoch, $channel->chat_secret, $channel->chat_server['host'] ?? ''],
        );
        $after = $this->everything($channel);
        self::assertSame(['stale'], array_unique(array_column($after['outgoing'], 'state')));
        foreach (array_diff(array_keys($kept), ['channels', 'outgoing']) as $table) {
            self::assertSame($kept[$table], $after[$table], $table);
        }
        self::assertNotNull(app(Assembler::class)->pack($channel)->command('!tide'));
    }

    public function test_a_channel_whose_rows_could_not_change_places_is_as_it_was_and_on_the_air(): void
    {
        $this->backup('lantern_cove');
        $this->command('!tide')->delete();
        $here = $this->everything($this->cove->refresh());
        DB::connection()->beforeExecuting(
            static fn (string $query): mixed => str_starts_with($query, 'INSERT INTO `memory`')
                ? throw new QueryException('', $query, [], new \PDOException('Deadlock'))
                : null,
        );
        try {
            $this->restore('lantern_cove');
            self::fail('it was put back');
        } catch (BackupFailed $failed) {
            self::assertStringContainsString('It is as it was', $failed->getMessage());
        }
        $after = $this->everything($this->cove->refresh());
        self::assertFalse($this->cove->paused);
        self::assertSame(1, $this->cove->edition_on_air);
        foreach (array_diff(array_keys($here), ['channels']) as $table) {
            self::assertSame($here[$table], $after[$table], $table);
        }
        DB::purge();
    }

    public function test_a_channel_comes_back_where_others_have_its_numbers(): void
    {
        $before = app(Assembler::class)->document($this->cove);
        $memory = ['ledger' => [], 'memory_history' => []] + $this->wholeMemory();
        $this->backup('lantern_cove');
        $numbers = DB::table('commands')->where('channel_id', $this->cove->id)->pluck('id');
        $old = $this->cove->id;
        $this->cove->delete();
        // Another channel takes the place and the numbers meanwhile; one member has left for good.
        $other = $this->harbour($pia = $this->person('Pia'));
        Schema::withoutForeignKeyConstraints(static function () use ($other, $numbers): void {
            DB::table('commands')->where('channel_id', $other->id)->update(['id' => $numbers[0]]);
            DB::table('command_responses')->where('channel_id', $other->id)->update(['command_id' => $numbers[0]]);
        });
        DB::table('users')->where('email', 'ilse@lantern-cove.example')->delete();
        $notes = $this->restore('lantern_cove');
        self::assertStringContainsString('unknown here', implode($notes));
        $channel = Channel::query()->where('login', 'lantern_cove')->firstOrFail();
        self::assertSame($old, $channel->id);
        self::assertEquals($before, app(Assembler::class)->document($channel));
        self::assertEquals($memory, ['ledger' => [], 'memory_history' => []] + $this->wholeMemory($channel));
        self::assertSame(
            ['Wren'],
            $channel->memberships()->with('user')->get()->map(static fn ($one): string => $one->user->name)->all(),
        );
        self::assertSame(1, $other->commands()->count());
    }

    public function test_everything_is_put_back_and_nobody_stays_signed_in(): void
    {
        DB::table('sessions')->insert([
            'id' => 's',
            'user_id' => $this->wren->id,
            'payload' => '',
            'last_activity' => 1,
        ]);
        $this->backup(null);
        $kept = $this->everything($this->cove);
        $this->wren->update(['name' => 'Somebody']);
        $this->harbour($this->person('Pia'));
        DB::table('counter_numbers')->delete();
        $this->restore(null);
        self::assertSame(1, Channel::query()->count());
        self::assertSame(['Ilse', 'Wren'], DB::table('users')->orderBy('name')->pluck('name')->all());
        self::assertSame(0, DB::table('sessions')->count());
        $after = $this->everything($this->cove->refresh());
        foreach (array_diff(array_keys($kept), ['channels', 'outgoing']) as $table) {
            self::assertSame($kept[$table], $after[$table], $table);
        }
        self::assertTrue($this->cove->paused);
        self::assertSame([], $this->restore('lantern_cove'), 'one channel out of a backup of everything');
    }

    public function test_a_secret_of_another_machine_is_left_out_and_said(): void
    {
        $this->backup('lantern_cove');
        $other = new \Illuminate\Encryption\Encrypter(random_bytes(32), 'AES-256-CBC');
        $notes = (new Restore(DB::connection(), $other))->from(
            BackupFile::open($this->file),
            'lantern_cove',
            static fn (): null => null,
        );
        self::assertStringContainsString('give it anew', implode($notes));
        self::assertNull($this->cove->refresh()->chat_secret);
    }

    /**
     * The file was made by the version before definitions had ids: the demo on the air, with what its crowd had done by
     * then.
     */
    public function test_a_backup_of_the_first_form_is_put_back_in_the_form_of_today(): void
    {
        app(Restore::class)->from(BackupFile::open(__DIR__.'/version-1.backup'), null, static fn (): null => null);
        $cove = Channel::query()->where('login', 'lantern_cove')->firstOrFail();
        $draft = app(Assembler::class)->document($cove);
        $air = app(Editions::class)->onAir($cove);
        self::assertEquals(
            PackFormat::read((string) file_get_contents(base_path('tests/Core/Pack/version-1.pack.json')))[0]->commands,
            $draft->commands,
        );
        self::assertEquals($draft, $air, 'an edition of then and the draft have the same ids');
        self::assertSame(
            'Anyone, every 15 s, each person once a minute.',
            app(Sentences::class)->summary(CommandSummary::of($draft->command('!tide') ?? Say::on(''))),
        );
        $planks = fn (): mixed => $this->remembered(Key::counter('planks'), $cove);
        $before = $planks();
        self::assertIsInt($before);
        OnAir::of($cove)->hear('maren', '!plank', Level::Moderator);
        self::assertSame($before + 1, $planks());
        // What was kept of people stands with them, and history says who.
        self::assertSame(0, DB::table('memory')->count());
        self::assertSame(
            ['signe', 1],
            [
                DB::table('viewers')->where('service_id', 'signe')->value('login'),
                $this->remembered(Key::counter('biscuits', Owner::viewer('account:signe')), $cove),
            ],
        );
        self::assertSame(6, $this->remembered(Key::counter('biscuits', Owner::viewer('cast-pia')), $cove));
        $told = app(MemoryHistory::class)->of($cove);
        self::assertNotSame([], $told);
        self::assertSame('maren', $told[0]['by'], 'the login, until the first tally knows the name');
        self::assertNotContains('somebody in the chat', array_column($told, 'by'));
    }

    public function test_a_row_that_is_not_as_it_must_be_is_told_by_its_line_and_column(): void
    {
        $this->backup('lantern_cove');
        $kept = $this->everything($this->cove);
        $lines = explode("\n", (string) gzdecode((string) file_get_contents($this->file)));
        $at = static fn (string $table): int => (int) array_key_first(
            array_filter($lines, static fn (string $line): bool => str_contains($line, "\"in\":\"$table\"")),
        );
        $wrong = [
            // table, how its first row is changed, what the sentence says
            [
                'command_responses',
                ['command_id' => 99_999_999],
                '“command_id” names something that the file does not hold',
            ],
            ['commands', ['channel_id' => 4_711], 'belongs to another channel'],
            ['commands', ['trigger' => str_repeat('w', 61)], '“trigger” is not what can stand there'],
            ['commands', ['revision' => 'often'], '“revision” is not what can stand there'],
            ['commands', ['gates' => '{'], '“gates” is not what can stand there'],
            ['commands', ['drop' => 1], '“drop” is not what can stand there'],
            ['commands', ['trigger' => null], '“trigger” is not what can stand there'],
            ['outgoing', ['queued_at' => '0000-00-00 00:00:00'], '“queued_at” is not what can stand there'],
            ['channels', ['lease_epoch' => [1]], '“lease_epoch” is not what can stand there'],
        ];
        foreach ($wrong as [$table, $change, $sentence]) {
            $changed = $lines;
            /** @var array{in: string, row: array<string, mixed>} $row */
            $row = json_decode($lines[$at($table)], true);
            $changed[$at($table)] = json_encode(['in' => $table, 'row' => $change + $row['row']], JSON_THROW_ON_ERROR);
            file_put_contents($this->file, gzencode(implode("\n", $changed)));
            try {
                $this->restore('lantern_cove');
                self::fail("it was put back: $sentence");
            } catch (BackupFailed $failed) {
                self::assertStringContainsString($sentence, $failed->getMessage());
                self::assertStringContainsString('line '.($at($table) + 1).',', $failed->getMessage());
            }
            self::assertSame($kept, $this->everything($this->cove), $sentence);
        }
    }

    public function test_a_row_whose_text_is_none_is_named_and_all_others_are_saved(): void
    {
        // As an older version let it in: bytes that are no UTF-8, kept in a column for bytes.
        DB::statement('ALTER TABLE users MODIFY name VARBINARY(255) NOT NULL');
        try {
            DB::table('users')->where('id', $this->wren->id)->update(['name' => "\xed\xa0\x80"]);
            $told = [];
            $rows = (new Backup(DB::connection()))->write(
                $this->file,
                null,
                static fn (): null => null,
                static function (string $table, string $key) use (&$told): void {
                    $told[] = "$table $key";
                },
            );
            self::assertSame(["users id {$this->wren->id}"], $told);
            self::assertSame($rows, BackupFile::open($this->file)->rows);
        } finally {
            DB::table('users')
                ->where('id', $this->wren->id)
                ->update(['name' => 'Wren']);
            DB::statement(
                'ALTER TABLE users MODIFY name VARCHAR(255) CHARACTER SET utf8mb4 COLLATE utf8mb4_nopad_bin NOT NULL',
            );
        }
    }

    public function test_a_file_that_is_none_or_broken_is_refused_and_nothing_is_touched(): void
    {
        $this->backup('lantern_cove');
        $kept = $this->everything($this->cove);
        $whole = (string) file_get_contents($this->file);
        $text = (string) gzdecode($whole);
        $broken = [
            'is no backup' => [
                gzencode("{}\n"),
                'not zipped at all',
                '',
                gzencode(str_replace('silver-parrot-backup', 'another', $text)),
            ],
            'later Silver Parrot' => [gzencode(str_replace('"version":2', '"version":3', $text))],
            'is broken at line' => [
                substr($whole, 0, (int) (strlen($whole) / 2)),
                gzencode(substr($text, 0, -20)),
                gzencode(preg_replace('/^.*"in":"counter_numbers".*\n/m', '', $text, 1) ?? ''),
                gzencode($text."{}\n"),
                gzencode(str_replace('"in":"counter_numbers"', '"in":"users; DROP"', $text)),
            ],
        ];
        foreach ($broken as $sentence => $files) {
            foreach ($files as $contents) {
                file_put_contents($this->file, $contents);
                try {
                    $this->restore('lantern_cove');
                    self::fail("it was put back, though it $sentence");
                } catch (BackupFailed $failed) {
                    self::assertStringContainsString($sentence, $failed->getMessage());
                }
            }
        }
        file_put_contents($this->file, $whole);
        foreach (['nowhere' => 'no channel named', '' => '--channel=lantern_cove'] as $login => $sentence) {
            try {
                $this->restore($login === '' ? null : $login);
                self::fail('it was put back');
            } catch (BackupFailed $failed) {
                self::assertStringContainsString($sentence, $failed->getMessage());
            }
        }
        self::assertSame($kept, $this->everything($this->cove));
        $this->expectExceptionMessage('cannot be read');
        BackupFile::open('/nowhere/at/all');
    }

    private function backup(?string $login): void
    {
        (new Backup(DB::connection()))->write($this->file, $login, static fn (): null => null);
    }

    /** @return list<string> */
    private function restore(?string $login): array
    {
        return app(Restore::class)->from(BackupFile::open($this->file), $login, static fn (): null => null);
    }

    /** @return array<string, list<array<string, mixed>>> every row of a channel, by table */
    private function everything(Channel $channel): array
    {
        $rows = [];
        foreach (Table::ofChannel() as $table) {
            $rows[$table->name] = array_map(
                static fn (object $row): array => (array) $row,
                DB::table($table->name)
                    ->where($table->owner, $channel->id)
                    ->orderBy($table->key[count($table->key) - 1])
                    ->get()
                    ->all(),
            );
        }

        return $rows;
    }
}
