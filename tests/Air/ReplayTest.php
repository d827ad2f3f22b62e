<?php

declare(strict_types=1);

namespace Tests\Air;

use SilverParrot\Format\PackFormat;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Flood;
use Tests\Ground\Sandbox;

/** What the harbour's crowd wrote, heard again, gets the answers that the air gave. */
final class ReplayTest extends AirTestCase
{
    /** Lines of the crowd. */
    private const LINES = 250;

    private string $edition = '';

    protected function setUp(): void
    {
        parent::setUp();
        // The demo, with its limit over all commands, lists, records, points; its cooldowns are shorter, since its
        // crowd has an evening's lines in some seconds here.
        $this->edition = $this->value('SELECT edition_on_air FROM channels WHERE id = 1');
        // What waits for the web would be overtaken by other lines, as luck has it: look-ups fail here, on the air and
        // in the replay.
        $document = (array) json_decode((string) self::database()
            ->query('SELECT document FROM editions WHERE channel_id = 1 AND number = 1')
            ->fetchColumn(), true);
        [$demo] = PackFormat::read(json_encode(['lookups' => []] + $document, JSON_THROW_ON_ERROR));
        $pack = $demo->withTimers([])->withFlood(new Flood(10, 100))->withCommands(array_map(
            static fn (Command $one): Command => $one->gated(new Cooldown(1, 2)),
            $demo->commands,
        ));
        self::database()
            ->prepare(
                'INSERT INTO editions (channel_id, number, note, document, created_at) '
                    .'SELECT 1, MAX(number) + 1, "", ?, UTC_TIMESTAMP() FROM editions WHERE channel_id = 1',
            )
            ->execute([PackFormat::write($pack)]);
        self::database()->exec(
            'UPDATE channels SET edition_on_air = (SELECT MAX(number) FROM editions WHERE channel_id = 1) WHERE id = 1',
        );
        $this->awaitEdition();
    }

    protected function tearDown(): void
    {
        $this->toHarbour('/pace', ['lines_a_minute' => 0]);
        self::database()->exec("UPDATE channels SET edition_on_air = {$this->edition} WHERE id = 1");
    }

    public function test_a_replay_of_what_the_crowd_wrote_says_what_the_air_said(): void
    {
        $first = (int) $this->value('SELECT MAX(number) FROM heard_lines WHERE channel_id = 1');
        $replayer = proc_open(
            [PHP_BINARY, Sandbox::project().'/tests/Air/replayer.php', (string) $first],
            [['pipe', 'r'], ['pipe', 'w'], ['file', $this->air->home.'/replayer.log', 'w']],
            $pipes,
            null,
            $this->air->environment(),
        );
        self::assertIsResource($replayer);
        self::assertSame("there\n", fgets($pipes[1]), (string) file_get_contents($this->air->home.'/replayer.log'));
        self::assertSame('{"done":true}', $this->toHarbour('/pace', ['lines_a_minute' => 1_500]));
        $this->awaitLines($first, self::LINES);
        $this->toHarbour('/pace', ['lines_a_minute' => 0]);
        // All that is under way has its answer once a later line has.
        $this->secondsUntilHeard('Is that all?', 'TRUE');
        fwrite($pipes[0], $this->value('SELECT MAX(number) FROM heard_lines WHERE channel_id = 1')."\n");
        $told = (string) stream_get_contents($pipes[1]);
        self::assertSame(0, proc_close($replayer), (string) file_get_contents($this->air->home.'/replayer.log'));
        /** @var list<array{key: string, text: string, said: list<string>, why: string, air: list<string>}> $heard */
        $heard = json_decode($told, true);
        self::assertGreaterThanOrEqual(self::LINES, count($heard));
        $answered = array_filter($heard, static fn (array $one): bool => $one['air'] !== []);
        self::assertGreaterThan(20, count($answered));
        $otherwise = array_filter($heard, static fn (array $one): bool => $one['air'] !== $one['said']);
        self::assertSame([], array_values($otherwise));
    }

    private function awaitLines(int $after, int $count): void
    {
        for ($tries = 0; $tries < 2_400; $tries++) {
            $there = $this->value(
                "SELECT COUNT(*) FROM heard_lines WHERE channel_id = 1 AND kind = 'heard' AND number > $after",
            );
            if ((int) $there >= $count) {
                return;
            }
            usleep(50_000);
        }
        self::fail('The crowd does not write.');
    }
}
