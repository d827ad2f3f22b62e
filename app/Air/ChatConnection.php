<?php

declare(strict_types=1);

namespace App\Air;

use Amp\ByteStream\StreamException;
use Amp\Dns\DnsException;
use Amp\Dns\DnsRecord;
use Amp\Socket\ClientTlsContext;
use Amp\Socket\ConnectContext;
use Amp\Socket\ConnectException;
use Amp\Socket\Socket;
use Amp\Socket\TlsException;
use Amp\TimeoutCancellation;
use Closure;
use SilverParrot\Chat\Wire\IrcLine;

use function Amp\delay;
use function Amp\Dns\resolve;
use function Amp\Socket\connect;

/** The talker's way into a chat. It comes back by itself, with growing pauses and a little chance in them. */
final class ChatConnection
{
    private const WANTED = ['message-tags', 'server-time', 'account-tag'];

    private const LONGEST_PAUSE = 30.0;

    /** A wrong secret does not become right by trying fast. */
    private const REFUSED_PAUSE = 30.0;

    private const LONGEST_BUFFER = 65_536;

    private const TLS_SECONDS = 10;

    /** A server that says nothing for this long has gone without saying so; it is asked every thirty seconds. */
    private const SILENT_SECONDS = 75.0;

    /** Bytes of a SASL answer in one line (IRCv3 sasl). */
    private const SASL_CHUNK = 400;

    private ?Socket $socket = null;

    private bool $isWelcome = false;

    private bool $ending = false;

    private Standing $refusal = Standing::Away;

    private float $heardAt = 0.0;

    private string $offered = '';

    /** @var array<string, true> */
    private array $capabilities = [];

    /** @var array<string, Room> joined rooms by name */
    private array $rooms = [];

    /** Tells one connection's lines from another's, where the server gives no ids. */
    public readonly string $run;

    /**
     * @param  Closure(IrcLine, self): void  $heard  lines and notices
     * @param  string  $authorities  a file of certificates to trust besides the system's; empty for none
     */
    public function __construct(private readonly ChatAddress $address, private readonly Closure $heard, private readonly string $authorities = '')
    {
        $this->run = bin2hex(random_bytes(6));
    }

    public function stay(): void
    {
        $pause = 0.5;
        while (! $this->ending) {
            $this->refusal = Standing::Away;
            try {
                $this->socket = $socket = $this->open();
                $this->greet();
                if ($this->read($socket)) {
                    $pause = 0.5;
                }
            } catch (TlsException) {
                $this->refusal = Standing::NotTrusted;
            } catch (ConnectException|StreamException|DnsException) {
                // Not there, or gone: the next try says more than this one.
            }
            $this->socket?->close();
            $this->socket = null;
            $this->isWelcome = false;
            $this->rooms = [];
            $this->capabilities = [];
            if (! $this->ending) {
                delay($this->refusal === Standing::Away ? $pause * random_int(80, 120) / 100 : self::REFUSED_PAUSE);
                $pause = min(self::LONGEST_PAUSE, $pause * 2);
            }
        }
    }

    /** @param  list<string>  $names of the rooms it should be in */
    public function beIn(array $names): void
    {
        if (! $this->isWelcome) {
            return;
        }
        foreach ($names as $name) {
            if (! isset($this->rooms[$name])) {
                $this->rooms[$name] = new Room;
                $this->send(new IrcLine('JOIN', ["#$name"]));
            }
        }
        foreach (array_diff(array_map(strval(...), array_keys($this->rooms)), $names) as $name) {
            unset($this->rooms[$name]);
            $this->send(new IrcLine('PART', ["#$name"]));
        }
    }

    public function standingIn(string $name): Standing
    {
        $room = $this->rooms[$name] ?? null;

        return match (true) {
            $room === null || ! $room->isJoined => $this->refusal,
            $room->isOperator($this->address->nick) => Standing::Moderator,
            default => Standing::Connected,
        };
    }

    public function room(string $name): ?Room
    {
        return $this->rooms[$name] ?? null;
    }

    /** Whether people are told apart by accounts here, and not by their nicks alone. */
    public function knowsPeople(): bool
    {
        return isset($this->capabilities['account-tag']);
    }

    /** @param  string  $answerTo  the id of the line that it answers; empty for none */
    public function say(string $target, string $text, string $answerTo = ''): bool
    {
        $tags = $answerTo !== '' && isset($this->capabilities['message-tags']) ? ['+draft/reply' => $answerTo] : [];

        return $this->isWelcome && $this->send(new IrcLine('PRIVMSG', [$target, $text], tags: $tags));
    }

    public function isWelcome(): bool
    {
        return $this->isWelcome;
    }

    public function end(): void
    {
        $this->ending = true;
        $this->send(new IrcLine('QUIT', ['']));
        $this->socket?->close();
    }

    public function ping(): void
    {
        if ($this->socket !== null && hrtime(true) / 1e9 - $this->heardAt > self::SILENT_SECONDS) {
            $this->socket->close();
        }
        $this->send(new IrcLine('PING', ['still there']));
    }

    /** @throws ConnectException|TlsException|DnsException|StreamException */
    private function open(): Socket
    {
        $this->heardAt = hrtime(true) / 1e9;
        $to = $this->address->isNear ? "{$this->address->host}:{$this->address->port}" : $this->farAddress();
        $context = (new ConnectContext)->withTcpNoDelay();
        if (! $this->address->tls) {
            return connect($to, $context);
        }
        // The name that was asked for is the one that the certificate must bear, whichever address it has.
        $tls = new ClientTlsContext($this->address->host);
        $socket = connect($to, $context->withTlsContext($this->authorities === '' ? $tls : $tls->withCaFile($this->authorities)));
        $socket->setupTls(new TimeoutCancellation(self::TLS_SECONDS));

        return $socket;
    }

    /** Looked up once and connected to as it was looked up, so that a name cannot mean another place a moment later. */
    private function farAddress(): string
    {
        /** @var DnsRecord $record */
        foreach (resolve($this->address->host) as $record) {
            $ip = $record->getValue();
            if (filter_var($ip, FILTER_VALIDATE_IP, FILTER_FLAG_NO_PRIV_RANGE | FILTER_FLAG_NO_RES_RANGE | FILTER_FLAG_GLOBAL_RANGE) !== false) {
                return (str_contains($ip, ':') ? "[$ip]" : $ip).":{$this->address->port}";
            }
        }
        $this->refusal = Standing::TooNear;
        throw new ConnectException('no address outside this network');
    }

    private function greet(): void
    {
        if ($this->address->signIn === SignIn::Password) {
            $this->send(new IrcLine('PASS', [$this->address->secret]));
        }
        $this->send(new IrcLine('CAP', ['LS', '302']));
        $this->send(new IrcLine('NICK', [$this->address->nick]));
        $this->send(new IrcLine('USER', [$this->address->nick, '0', '*', $this->address->nick]));
    }

    /** @return bool whether it was welcome at all */
    private function read(Socket $socket): bool
    {
        $buffer = '';
        $was = false;
        while (($bytes = $socket->read()) !== null && strlen($buffer) < self::LONGEST_BUFFER) {
            $this->heardAt = hrtime(true) / 1e9;
            $buffer .= $bytes;
            while (($end = strpos($buffer, "\n")) !== false) {
                $line = IrcLine::parse(substr($buffer, 0, $end));
                $buffer = substr($buffer, $end + 1);
                if ($line !== null) {
                    $this->take($line);
                    $was = $was || $this->isWelcome;
                }
            }
        }

        return $was;
    }

    private function take(IrcLine $line): void
    {
        match ($line->command) {
            'PING' => $this->send(new IrcLine('PONG', [$line->param(0)])),
            'CAP' => $this->negotiate($line),
            'AUTHENTICATE' => $this->prove(),
            '903' => $this->send(new IrcLine('CAP', ['END'])),
            '904', '905', '906', '908', '464' => $this->giveUp(Standing::NotSignedIn),
            '433' => $this->giveUp(Standing::NameTaken),
            '001' => $this->isWelcome = true,
            '353', '366', 'JOIN', 'PART', 'QUIT', 'NICK', 'MODE', 'KICK' => $this->people($line),
            'PRIVMSG', 'NOTICE' => ($this->heard)($line, $this),
            // A server that knows no capabilities says so (421), and welcomes all the same.
            default => null,
        };
    }

    private function giveUp(Standing $refusal): void
    {
        $this->refusal = $refusal;
        $this->socket?->close();
    }

    private function negotiate(IrcLine $line): void
    {
        match (strtoupper($line->param(1))) {
            'LS' => $this->choose($line),
            'ACK' => $this->granted($line->param(2)),
            'NAK' => $this->send(new IrcLine('CAP', ['END'])),
            default => null,
        };
    }

    private function choose(IrcLine $line): void
    {
        // A list that goes on has a "*" before its part (IRCv3 capability negotiation 302).
        $goesOn = $line->param(2) === '*' && isset($line->params[3]);
        $this->offered .= ' '.$line->param($goesOn ? 3 : 2);
        if ($goesOn) {
            return;
        }
        $names = array_map(static fn (string $one): string => explode('=', $one)[0], explode(' ', trim($this->offered)));
        $this->offered = '';
        $wanted = $this->address->signIn === SignIn::Account ? [...self::WANTED, 'sasl'] : self::WANTED;
        $both = array_values(array_intersect($wanted, $names));
        if ($this->address->signIn === SignIn::Account && ! in_array('sasl', $both, true)) {
            $this->giveUp(Standing::NotSignedIn);

            return;
        }
        $this->send($both === [] ? new IrcLine('CAP', ['END']) : new IrcLine('CAP', ['REQ', implode(' ', $both)]));
    }

    private function granted(string $names): void
    {
        foreach (array_filter(explode(' ', $names)) as $name) {
            $this->capabilities[$name] = true;
        }
        $this->send(isset($this->capabilities['sasl']) ? new IrcLine('AUTHENTICATE', ['PLAIN']) : new IrcLine('CAP', ['END']));
    }

    private function prove(): void
    {
        $answer = base64_encode("\0{$this->address->account}\0{$this->address->secret}");
        foreach (str_split($answer, self::SASL_CHUNK) as $chunk) {
            $this->send(new IrcLine('AUTHENTICATE', [$chunk]));
        }
        if (strlen($answer) % self::SASL_CHUNK === 0) {
            $this->send(new IrcLine('AUTHENTICATE', ['+']));
        }
    }

    private function people(IrcLine $line): void
    {
        foreach ($this->rooms as $name => $room) {
            $room->take($line, "#$name", $this->address->nick);
            if ($room->isLeft) {
                // Sent away, or a rename: the next heart beat asks to come in again.
                unset($this->rooms[$name]);
            }
        }
    }

    private function send(IrcLine $line): bool
    {
        try {
            $this->socket?->write($line->encode());

            return $this->socket !== null;
        } catch (StreamException) {
            return false;
        }
    }
}
