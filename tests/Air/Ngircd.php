<?php

declare(strict_types=1);

namespace Tests\Air;

use Ground\Port;
use Ground\Shell;
use PHPUnit\Framework\Assert;

/**
 * An IRC server that knows nothing of us: ngircd (Debian), on loopback, with TLS beside plain where certificates are
 * given.
 */
final class Ngircd
{
    /**
     * The group ffdhe2048 of RFC 7919, appendix A.1: without one the server first looks for primes of its own, which
     * takes a busy machine long.
     */
    private const GROUP = <<<'PEM'
        -----BEGIN DH PARAMETERS-----
        MIIBCAKCAQEA//////////+t+FRYortKmq/cViAnPTzx2LnFg84tNpWp4TZBFGQz
        +8yTnc4kmz75fS/jY2MMddj2gbICrsRhetPfHtXV/WVhJDP1H18GbtCFY2VVPe0a
        87VXE15/V8k1mE8McODmi3fipona8+/och3xWKE2rec1MKzKT0g6eXq8CrGCsyT7
        YdEIqUuyyOP7uWrat2DX9GgdT0Kj3jlN9K5W7edjcrsZCwenyO4KbXCeAvzhzffi
        7MA0BM0oNC9hkXL+nOmFg/+OTxIy7vKBg8P+OxtMb61zO7X8vC7CIAXFjvGDfRaD
        ssbzSibBsu/6iGtCOGEoXJf//////////wIBAg==
        -----END DH PARAMETERS-----
        PEM;

    /** @var resource|null */
    private $process;

    private function __construct(
        private readonly string $folder,
        public readonly int $port,
        public readonly int $tlsPort,
    ) {
    }

    /** @param  list<string>  $certificate  "--certificate=FILE" and "--certificate-key=FILE"; empty for none */
    public static function start(array $certificate = []): self
    {
        Assert::assertNotNull(Shell::find('ngircd'), 'bin/parrot test installs it');
        $port = Port::near(26667);
        $self = new self(
            sys_get_temp_dir().'/parrot-ngircd-'.bin2hex(random_bytes(4)),
            $port,
            Port::firstFreeFrom($port + 1),
        );
        mkdir($self->folder, 0o755);
        $own = posix_geteuid() === 0 ? "ServerUID = irc\nServerGID = irc\n" : '';
        $tls = '';
        if ($certificate !== []) {
            foreach (['certificate' => 'pem', 'certificate-key' => 'key'] as $name => $ending) {
                $from =
                    array_values(
                        array_filter(
                            $certificate,
                            static fn (string $option): bool => str_starts_with($option, "--$name="),
                        ),
                    )[0] ?? '';
                copy(substr($from, strlen("--$name=")), "{$self->folder}/server.$ending");
                chmod("{$self->folder}/server.$ending", 0o644);
            }
            file_put_contents("{$self->folder}/dh.pem", self::GROUP);
            chmod("{$self->folder}/dh.pem", 0o644);
            $tls = "[SSL]\nDHFile = {$self->folder}/dh.pem\nCertFile = {$self->folder}/server.pem\nKeyFile = "
                ."{$self->folder}/server.key\nPorts = {$self->tlsPort}\n";
        }
        file_put_contents(
            "{$self->folder}/ngircd.conf",
            "[Global]\nName = irc.local.test\nListen = 127.0.0.1\nPorts = {$self->port}\n{$own}MotdPhrase = "
                ."ok\n[Limits]\nMaxConnectionsIP = 0\nMaxNickLength = 30\nMaxPenaltyTime = 0\n[Options]\nDNS = "
                ."no\nIdent = no\nPAM = no\nIncludeDir = /nonexistent\n$tls",
        );
        $self->run();

        return $self;
    }

    public function run(): void
    {
        $process = proc_open(
            [(string) Shell::find('ngircd'), '-n', '-f', "{$this->folder}/ngircd.conf"],
            [['file', '/dev/null', 'r'], ['file', "{$this->folder}/log", 'a'], ['redirect', 1]],
            $pipes,
        );
        Assert::assertIsResource($process);
        $this->process = $process;
        for ($tries = 0; $tries < 2_400 && ! Port::answers($this->port); $tries++) {
            usleep(25_000);
        }
        Assert::assertTrue(Port::answers($this->port), $this->log());
    }

    public function kill(): void
    {
        if ($this->process !== null) {
            proc_terminate($this->process, SIGKILL);
            proc_close($this->process);
            $this->process = null;
        }
    }

    public function remove(): void
    {
        $this->kill();
        exec('rm -rf -- '.escapeshellarg($this->folder));
    }

    public function log(): string
    {
        return (string) file_get_contents("{$this->folder}/log");
    }
}
