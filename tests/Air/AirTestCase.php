<?php

declare(strict_types=1);

namespace Tests\Air;

use Ground\Port;
use PHPUnit\Framework\TestCase;
use SilverParrot\Format\PackFormat;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\Command;
use Tests\Ground\Sandbox;

/**
 * The talker as it runs: real processes, a real chat over a socket, a real database. One instance serves all of these
 * tests.
 */
abstract class AirTestCase extends TestCase
{
    private static ?Sandbox $sandbox = null;

    /** @var list<string> a server's certificate that the talker trusts */
    protected static array $certificate = [];

    protected Sandbox $air;

    public static function setUpBeforeClass(): void
    {
        if (self::$sandbox === null) {
            self::$sandbox = Sandbox::make();
            $certificates = new Certificates(self::$sandbox->home);
            // Foreign chat servers are on this machine here, and vouched for by the tests' own authority.
            file_put_contents(
                self::$sandbox->home.'/.env',
                "HARBOUR_PACE=0\nHARBOUR_MODERATORS=silver_parrot,second_parrot\n"
                    ."AIR_NEAR=true\nAIR_AUTHORITIES={$certificates->folder}/authority.pem\n",
            );
            self::$certificate = $certificates->server('good', 30);
            [$code, $printed] = self::$sandbox->parrot(['up', '--port='.Port::near(18380)]);
            self::assertSame(0, $code, $printed);
            register_shutdown_function(static fn () => self::$sandbox?->remove());
        }
        self::publish('[add 1 to counter.planks]');
    }

    protected function setUp(): void
    {
        $this->air = self::$sandbox ?? throw new \LogicException('not started');
        $this->awaitTalker();
    }

    protected static function publish(string $count, string $since = ''): void
    {
        $database = self::$sandbox?->database() ?? throw new \LogicException('not started');
        $document = (string) $database
            ->query('SELECT document FROM editions WHERE channel_id = 1 ORDER BY number DESC LIMIT 1')
            ->fetchColumn();
        /** @var array<string, mixed> $read */
        $read = json_decode($document, true);
        // Dozens of answers in a second are wanted here.
        $read['flood'] = ['person' => 0, 'channel' => 0];
        // The demo's counter stops at a ceiling that hundreds of answers would come to.
        $read['counters'] = [['name' => 'planks']];
        $pack = PackFormat::read(json_encode($read, JSON_THROW_ON_ERROR))[0]->withCommand(
            Say::on('!count', $count)->gated(Cooldown::none()),
            '!count',
        );
        $pack =
            $since === '' ? $pack : $pack->withCommand(Say::on('!since', $since)->gated(Cooldown::none()), '!since');
        $number = (int) $database->query('SELECT MAX(number) FROM editions WHERE channel_id = 1')->fetchColumn() + 1;
        $database
            ->prepare(
                'INSERT INTO editions (channel_id, number, note, document, created_at) VALUES (1, ?, "", ?, '
                    .'UTC_TIMESTAMP())',
            )
            ->execute([$number, PackFormat::write($pack)]);
        $database->prepare('UPDATE channels SET edition_on_air = ? WHERE id = 1')->execute([$number]);
    }

    /** What is on the air, with one more command. */
    protected static function publishWith(Command $command): void
    {
        $database = self::database();
        [$pack] = PackFormat::read((string) $database
            ->query('SELECT document FROM editions WHERE channel_id = 1 ORDER BY number DESC LIMIT 1')
            ->fetchColumn());
        $number = (int) $database->query('SELECT MAX(number) FROM editions WHERE channel_id = 1')->fetchColumn() + 1;
        $database
            ->prepare(
                'INSERT INTO editions (channel_id, number, note, document, created_at) VALUES (1, ?, "", ?, '
                    .'UTC_TIMESTAMP())',
            )
            ->execute([$number, PackFormat::write($pack->withCommand($command, $command->trigger))]);
        $database->prepare('UPDATE channels SET edition_on_air = ? WHERE id = 1')->execute([$number]);
    }

    protected static function database(): \PDO
    {
        return self::$sandbox?->database() ?? throw new \LogicException('not started');
    }

    protected function viewer(string $nick): ChatClient
    {
        return ChatClient::join((int) $this->air->setting('HARBOUR_CHAT_PORT'), $nick, 'lantern_cove');
    }

    /**
     * Until it has said lately that it is in the chat.
     *
     * @param  int  $after the lease of a talker that was killed: the next one has a later
     */
    protected function awaitTalker(int $after = 0): void
    {
        for ($tries = 0; $tries < 800; $tries++) {
            if ($this->isThere($after)) {
                return;
            }
            usleep(50_000);
        }
        self::fail('The talker is not there: '.file_get_contents($this->air->home.'/storage/logs/web.log'));
    }

    /** Until the talker goes by what was published last. */
    protected function awaitEdition(): void
    {
        $this->secondsUntilHeard('Is it so already?', $this->underTheNewest());
    }

    /** @return string as a condition of the log */
    protected function underTheNewest(): string
    {
        return 'edition = '.$this->value('SELECT edition_on_air FROM channels WHERE id = 1');
    }

    /**
     * Somebody writes it again and again until the log tells of it so.
     *
     * @param  string  $so  a condition of the log's rows
     * @return float without those in which no processor was free
     */
    protected function secondsUntilHeard(string $text, string $so): float
    {
        $wait = new CpuWait([...array_column($this->air->instance()['servers'], 'pid'), getmypid() ?: 0]);
        [$since, $waited] = [microtime(true), $wait->seconds()];
        $viewer = $this->viewer('asks'.mt_rand());
        $last = (int) $this->value('SELECT COALESCE(MAX(number), 0) FROM heard_lines WHERE channel_id = 1');
        for ($tries = 0; $tries < 600; $tries++) {
            if ($tries % 10 === 0) {
                $viewer->say($text);
            }
            usleep(50_000);
            $isSo = $this->value(
                "SELECT COUNT(*) FROM heard_lines WHERE channel_id = 1 AND number > $last AND kind = 'heard' "
                    .'AND text = '.$this->air->database()->quote($text)." AND $so",
            );
            if ($isSo !== '0') {
                return microtime(true) - $since - ($wait->seconds() - $waited);
            }
        }
        self::fail(
            "“{$text}” was never heard so: $so; the last of the log: "
                .json_encode(
                    $this->air
                        ->database()
                        ->query(
                            'SELECT at, kind, text, edition, outcome FROM heard_lines WHERE channel_id = 1 '
                                .'ORDER BY number DESC LIMIT 8',
                        )
                        ->fetchAll(\PDO::FETCH_NUM),
                ),
        );
    }

    /** The harbour makes it, for so many seconds. */
    protected function trouble(string $kind, int $seconds = 60): void
    {
        $told = $this->toHarbour('/troubles', ['kind' => $kind, 'seconds' => $seconds]);
        self::assertSame('{"done":true}', $told);
    }

    /**
     * @param  array<string, int|string>  $body
     * @return string its answer, empty where there was none
     */
    protected function toHarbour(string $path, array $body): string
    {
        return $this->air->toHarbour($path, $body);
    }

    protected function isThere(int $after): bool
    {
        try {
            return $this->value(
                "SELECT COUNT(*) FROM channels WHERE id = 1 AND lease_epoch > $after AND air_state = 'moderator' AND "
                    .'air_seen_at > UTC_TIMESTAMP(3) - INTERVAL 1300000 MICROSECOND',
            ) === '1';
        } catch (\PDOException) {
            return false;
        }
    }

    protected function epoch(): int
    {
        return (int) $this->value('SELECT lease_epoch FROM channels WHERE id = 1');
    }

    /** What is queued is said or declared stale; then what was handed on reaches those who listen. */
    protected function awaitNothingQueued(): void
    {
        for (
            $tries = 0;
            $tries < 600 && $this->value("SELECT COUNT(*) FROM outgoing WHERE state = 'queued'") !== '0';
            $tries++
        ) {
            usleep(50_000);
        }
        usleep(500_000);
    }

    /** What other tests made it say counts against the chat's limits for half a minute. */
    protected function awaitRoomToSpeak(int $sayings): void
    {
        for (
            $tries = 0;
            $tries < 700
            && (int) $this->value(
                'SELECT COUNT(*) FROM outgoing WHERE channel_id = 1 AND handed_at > UTC_TIMESTAMP(3) - INTERVAL 31 '
                    .'SECOND',
            )
                + $sayings
                > 20;
            $tries++
        ) {
            usleep(50_000);
        }
    }

    protected function planks(): int
    {
        return (int) $this->value(
            "SELECT number FROM counter_numbers WHERE channel_id = 1 AND counter = 'planks' AND owner_kind = 'channel'",
        );
    }

    /** @return array{service: string, service_id: string, login: string, lines: int}|null */
    protected function viewerRow(string $login): ?array
    {
        /** @var array{service: string, service_id: string, login: string, lines: int}|false $row */
        $row = $this->air
            ->database()
            ->query(
                'SELECT service, service_id, login, `lines` FROM viewers WHERE channel_id = 1 AND name <> "" AND '
                    .'login = '
                    .$this->air->database()->quote($login),
            )
            ->fetch(\PDO::FETCH_ASSOC);

        return $row === false ? null : $row;
    }

    protected function value(string $query): string
    {
        return (string) $this->air->database()->query($query)->fetchColumn();
    }
}
