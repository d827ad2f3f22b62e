<?php

declare(strict_types=1);

namespace Tests\Ground;

use Ground\Trouble;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Troubles before any server is started: each produced for real, its sentence and exit code looked at. */
final class TroubleTest extends TestCase
{
    private Sandbox $sandbox;

    protected function setUp(): void
    {
        $this->sandbox = Sandbox::make();
    }

    protected function tearDown(): void
    {
        $this->sandbox->remove();
    }

    /** @return iterable<string, array{string, string}> */
    public static function brokenSettings(): iterable
    {
        yield 'no equals sign' => ["APP_ENV=production\nthis is no setting\n", 'Line 2 of'];
        yield 'an open quote' => ["APP_NAME=\"Silver\n", 'Line 1 of'];
        yield 'a space' => ["\n\nAPP_NAME=Silver Parrot\n", 'Line 3 of'];
        yield 'a port that is none' => ["DB_PORT=harbour\n", 'DB_PORT must be a whole number'];
    }

    #[DataProvider('brokenSettings')]
    public function test_a_broken_settings_file_is_named_with_the_line(string $text, string $sentence): void
    {
        file_put_contents($this->sandbox->home.'/.env', $text);
        [$code, $printed] = $this->sandbox->parrot(['up', '--port=18090']);
        self::assertSame(Trouble::BROKEN_SETTINGS, $code, $printed);
        self::assertStringContainsString($sentence, $printed);
        self::assertStringContainsString('Mend that line', $printed);
        self::assertStringNotContainsString('#0', $printed, 'no stack trace');
        self::assertStringContainsString(
            rtrim($text),
            (string) file_get_contents($this->sandbox->home.'/.env'),
            'what was written there stays',
        );
    }

    public function test_settings_that_are_missing_are_filled_in_without_touching_the_others(): void
    {
        file_put_contents($this->sandbox->home.'/.env', "# mine\nMAIL_MAILER=smtp\n");
        $settings = \Ground\Settings::open($this->paths());
        self::assertSame('smtp', $settings->get('MAIL_MAILER'));
        self::assertStringStartsWith('base64:', $settings->get('APP_KEY'));
        self::assertStringStartsWith(
            "# mine\nMAIL_MAILER=smtp\n",
            (string) file_get_contents($this->sandbox->home.'/.env'),
        );
    }

    public function test_a_full_disk_is_named(): void
    {
        if (
            posix_geteuid() !== 0
            || exec('mount -t tmpfs -o size=8m none '.escapeshellarg($this->sandbox->home).' 2>&1', $lines, $code)
                === false
            || $code !== 0
        ) {
            self::markTestSkipped('Only root may mount a small tmpfs.');
        }
        try {
            [$code, $printed] = $this->sandbox->parrot(['up', '--port=18091']);
            self::assertSame(Trouble::DISK_FULL, $code, $printed);
            self::assertStringContainsString('is full.', $printed);
            self::assertStringContainsString('Free at least 300 MB', $printed);

            @file_put_contents($this->sandbox->home.'/filler', str_repeat('x', 9 * 1024 * 1024));
            [$code, $printed] = $this->sandbox->parrot(['up', '--port=18091']);
            self::assertSame(Trouble::DISK_FULL, $code, $printed);
        } finally {
            exec('umount '.escapeshellarg($this->sandbox->home));
        }
    }

    public function test_without_root_and_sudo_the_packages_to_install_are_listed(): void
    {
        // A copy that any user can read, and a package list that lacks one package.
        $copy = $this->sandbox->home.'/project';
        mkdir("$copy/tools", 0o755, true);
        exec(
            'cp -r '
                .escapeshellarg(Sandbox::project().'/bin')
                .' '
                .escapeshellarg(Sandbox::project().'/.env.example')
                .' '
                .escapeshellarg(Sandbox::project().'/composer.pins')
                .' '
                .escapeshellarg($copy),
        );
        file_put_contents(
            "$copy/tools/dpkg-query",
            "#!/bin/sh\nfor p in \"\$@\"; do case \"\$p\" in -*|mariadb-server) ;; *) echo \"\$p installed\";; esac; "
                ."done\n",
        );
        file_put_contents("$copy/tools/sudo", "#!/bin/sh\nexit 1\n");
        exec(
            'chmod -R a+rX '
                .escapeshellarg($this->sandbox->home)
                .' && chmod a+rx '
                .escapeshellarg("$copy/tools")
                .'/*',
        );
        $home = sys_get_temp_dir().'/parrot-nobody-'.bin2hex(random_bytes(4));
        $become = posix_geteuid() === 0 ? ['setpriv', '--reuid=65534', '--regid=65534', '--clear-groups'] : [];
        $command = [
            ...$become,
            'env',
            "PATH=$copy/tools:/usr/bin:/bin",
            "PARROT_HOME=$home",
            PHP_BINARY,
            "$copy/bin/parrot",
            'up',
        ];
        exec(implode(' ', array_map(escapeshellarg(...), $command)).' 2>&1 </dev/null', $lines, $code);
        $printed = implode("\n", $lines);
        exec('rm -rf -- '.escapeshellarg($home));
        self::assertSame(Trouble::NO_RIGHTS, $code, $printed);
        self::assertStringContainsString('apt-get install --no-install-recommends mariadb-server', $printed);
    }

    /** @return iterable<string, array{list<string>, string}> */
    public static function misunderstandings(): iterable
    {
        yield 'verb' => [['fly'], 'bin/parrot cannot “fly”.'];
        yield 'option' => [['up', '--prot=9'], '“--prot=9” is not an option here.'];
        yield 'port' => [['up', '--port=lots'], '“lots” is no port number.'];
        yield 'low port' => [['up', '--port=80'], '“80” is no port number.'];
        yield 'part' => [['test', '--only=luck'], '“--only=luck” is not an option here.'];
    }

    /** @param  list<string>  $words */
    #[DataProvider('misunderstandings')]
    public function test_what_is_not_understood_is_said(array $words, string $sentence): void
    {
        [$code, $printed] = $this->sandbox->parrot($words);
        self::assertSame(Trouble::USAGE, $code);
        self::assertStringContainsString($sentence, $printed);
    }

    public function test_a_home_that_cannot_be_made_is_named(): void
    {
        file_put_contents($this->sandbox->home.'/file', '');
        [$code, $printed] = Sandbox::make($this->sandbox->home.'/file/home')->parrot(['up']);
        self::assertSame(Trouble::NO_RIGHTS, $code);
        self::assertStringContainsString('Nothing can be written in', $printed);
    }

    private function paths(): \Ground\Paths
    {
        putenv('PARROT_HOME='.$this->sandbox->home);
        try {
            return \Ground\Paths::of(Sandbox::project());
        } finally {
            putenv('PARROT_HOME');
        }
    }
}
