<?php

declare(strict_types=1);

namespace Tests\Browser;

use Ground\Port;
use PHPUnit\Framework\TestCase;
use Tests\Ground\Sandbox;

/** The whole application, started as a person starts it, with the demo in it. One instance serves all browser tests. */
abstract class BrowserTestCase extends TestCase
{
    /** How many lines a minute the crowd of the harbour says meanwhile. */
    protected const CROWD = 0;

    private static ?Sandbox $sandbox = null;

    private static int $port = 0;

    private static string $printed = '';

    private static ?Browser $shared = null;

    protected Browser $browser;

    public static function setUpBeforeClass(): void
    {
        if (self::$sandbox === null) {
            // Whoever waits for an evening here waits with every other suite for the processor.
            putenv('REHEARSAL_NICENESS=0');
            self::$sandbox = Sandbox::make();
            self::$port = Port::near(18180);
            [$code, self::$printed] = self::$sandbox->parrot(['up', '--port='.self::$port]);
            self::assertSame(0, $code, self::$printed);
            // The crowd would use the commands that a test is about to use, and leave it their cooldowns.
            self::$sandbox->toHarbour('/pace', ['lines_a_minute' => static::CROWD]);
            register_shutdown_function(static function (): void {
                self::$shared?->close();
                self::$sandbox?->remove();
            });
        }
    }

    protected function setUp(): void
    {
        // One for all of them: to start it takes longer than many a test.
        $this->browser = self::$shared = self::$shared?->afresh() ?? Browser::open();
    }

    /** A page whose script stopped half-way may still look right: no test leaves one behind. */
    protected function tearDown(): void
    {
        self::assertStringNotContainsString('Uncaught', implode("\n", $this->browser->complaints()));
    }

    protected function url(string $path): string
    {
        return 'http://127.0.0.1:'.self::$port.$path;
    }

    protected function database(): \PDO
    {
        return self::$sandbox?->database() ?? throw new \LogicException('not started');
    }

    /** @param  array<string, int|string>  $body */
    protected function toHarbour(string $path, array $body): void
    {
        self::$sandbox?->toHarbour($path, $body);
    }

    protected function server(string $name): int
    {
        return self::$sandbox?->instance()['servers'][$name]['pid'] ?? throw new \LogicException('not started');
    }

    /** The number of a demo command. */
    protected function commandPath(string $trigger): string
    {
        $found = $this->database()->prepare('SELECT id FROM commands WHERE `trigger` = ?');
        $found->execute([$trigger]);

        return '/channels/1/write/commands/'.$found->fetchColumn();
    }

    protected function signIn(Browser $browser, string $email = 'wren@lantern-cove.example'): void
    {
        $this->setPassword($email);
        $browser->go($this->url('/sign-in'));
        // An answer that was still under way when the browser was made afresh brings its session back.
        if ($browser->script('return document.getElementById("email") === null')) {
            $browser->forgetCookies();
            $browser->go($this->url('/sign-in'));
        }
        $this->fillInDoor($browser, $email);
        $browser->sees('Commands');
    }

    /** Nell, who may read in the demo's channel and change nothing, signs in. */
    protected function signInReader(Browser $browser): void
    {
        $this->database()->exec(
            "INSERT IGNORE INTO users (name, email, password) VALUES ('Nell', 'nell@lantern-cove.example', 'x')",
        );
        $this->database()->exec(
            "INSERT IGNORE INTO memberships (channel_id, user_id, role) SELECT 1, id, 'reader' FROM users WHERE email "
                ."= 'nell@lantern-cove.example'",
        );
        $this->signIn($browser, 'nell@lantern-cove.example');
    }

    protected function fillInDoor(Browser $browser, string $email = 'wren@lantern-cove.example'): void
    {
        $browser->write('#email', $email)->write('#password', 'the tide comes twice')->press('Sign in', 'main');
    }

    protected function setPassword(string $email): void
    {
        $this->database()
            ->prepare('UPDATE users SET password = ? WHERE email = ?')
            ->execute([password_hash('the tide comes twice', PASSWORD_BCRYPT, ['cost' => 4]), $email]);
    }

    protected function signInLink(): string
    {
        [, $printed] = self::$sandbox?->parrot(['up']) ?? [1, ''];
        self::assertSame(1, preg_match('~http://\S+/sign-in/link/\S+~', $printed, $link), $printed);

        return $link[0];
    }

    protected function say(string $line, string $as = ''): void
    {
        if ($as !== '') {
            $this->browser->find("#speaker option[value=$as]")->click();
        }
        $this->browser->write('#say-line', $line)->press('Say', '#chat');
        $this->browser->waitFor(fn (): bool => $this->browser->value('#say-line') === '', 'the line was not taken');
    }

    /** All sessions end; one that a request under way writes back ends too. */
    protected function endSessions(): void
    {
        do {
            $this->database()->exec('DELETE FROM sessions');
            usleep(500_000);
        } while ((int) $this->database()->query('SELECT COUNT(*) FROM sessions')->fetchColumn() > 0);
    }
}
