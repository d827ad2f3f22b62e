<?php

declare(strict_types=1);

namespace App\Air;

use Amp\ByteStream\StreamException;
use Amp\CancelledException;
use Amp\Dns\DnsException;
use Amp\Dns\DnsRecord;
use Amp\Socket\ClientTlsContext;
use Amp\Socket\ConnectContext;
use Amp\Socket\ConnectException;
use Amp\Socket\DnsSocketConnector;
use Amp\Socket\Socket;
use Amp\Socket\TlsException;
use Amp\TimeoutCancellation;
use Closure;
use Revolt\EventLoop;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Wire\IrcLine;
use SilverParrot\Lookup\NearNetworks;

use function Amp\delay;
use function Amp\Dns\resolve;

/**
 * The talker's way into a chat. It comes back by itself, with growing pauses and a little chance in them. Nothing that
 * a server sends, or does not, holds up another: lines have a budget, waits an end, and nobody waits for a server to
 * read.
 */
final class ChatConnection
{
    private const LONGEST_PAUSE = 30.0;

    /** A wrong secret does not become right by trying fast. */
    private const REFUSED_PAUSE = 30.0;

    /** Bytes of a line that has no end yet. */
    private const LONGEST_BUFFER = 65_536;

    /** Bytes that may wait for a server to read them. */
    private const LONGEST_QUEUE = 131_072;

    private const CONNECT_SECONDS = 10;

    /** Lines that are taken before others have their turn. */
    private const LINES_A_TURN = 50;

    private ?Socket $socket = null;

    private ?BoundedWriter $writer = null;

    private bool $isWelcome = false;

    private bool $ending = false;

    private ConnectionState $refusal = ConnectionState::Away;

    private float $openedAt = 0.0;

    private float $heardAt = 0.0;

    private Negotiation $negotiation;

    private LineBudget $lines;

    private LineBudget $chatLines;

    /** Lines that came too fast to be looked at, since the talker began. */
    public int $dropped = 0;

    /** @var array<string, ChatRoster> of the channels that it joined, by name */
    private array $rosters = [];

    /** Tells one connection's lines from another's, where the server gives no ids. */
    public readonly string $run;

    /**
     * @param  Closure(IrcLine, self): void  $heard  lines and notices
     * @param  string  $authorities  a file of certificates to trust besides the system's; empty for none
     */
    public function __construct(
        public readonly ChatAddress $address,
        private readonly Closure $heard,
        private readonly string $authorities = '',
        private readonly Patience $patience = new Patience,
    ) {
        $this->run = bin2hex(random_bytes(6));
        $this->begin();
    }

    private function begin(): void
    {
        $this->socket = null;
        $this->writer = null;
        $this->isWelcome = false;
        $this->rosters = [];
        $this->negotiation = new Negotiation($this->address);
        $this->lines = new LineBudget(Capacity::LINES_A_SECOND);
        $this->chatLines = new LineBudget(Capacity::CHAT_LINES_A_SECOND);
    }

    public function stay(): void
    {
        $pause = 0.5;
        while (! $this->ending) {
            $this->refusal = ConnectionState::Away;
            try {
                $this->socket = $socket = $this->open();
                $this->writer = new BoundedWriter($socket, self::LONGEST_QUEUE);
                $this->greet();
                if ($this->read($socket)) {
                    $pause = 0.5;
                }
            } catch (TlsException) {
                $this->refusal = ConnectionState::NotTrusted;
            } catch (ConnectException|StreamException|DnsException|CancelledException) {
                // Not there, or gone: the next try says more than this one.
            }
            $this->socket?->close();
            $this->begin();
            if (! $this->ending) {
                delay(
                    $this->refusal === ConnectionState::Away
                        ? ($pause * random_int(80, 120)) / 100
                        : self::REFUSED_PAUSE,
                );
                $pause = min(self::LONGEST_PAUSE, $pause * 2);
            }
        }
    }

    /** @param  list<string>  $names of the channels it should be in */
    public function beIn(array $names): void
    {
        if (! $this->isWelcome) {
            return;
        }
        foreach ($names as $name) {
            if (! isset($this->rosters[$name])) {
                $this->rosters[$name] = new ChatRoster;
                $this->send(new IrcLine('JOIN', ["#$name"]));
            }
        }
        foreach (array_diff(array_map(strval(...), array_keys($this->rosters)), $names) as $name) {
            unset($this->rosters[$name]);
            $this->send(new IrcLine('PART', ["#$name"]));
        }
    }

    public function stateIn(string $name): ConnectionState
    {
        $roster = $this->rosters[$name] ?? null;

        return match (true) {
            $roster === null || ! $roster->isJoined => $this->refusal,
            $roster->isOperator($this->address->nick) => ConnectionState::Moderator,
            default => ConnectionState::Connected,
        };
    }

    public function roster(string $name): ?ChatRoster
    {
        return $this->rosters[$name] ?? null;
    }

    /** Whether people are told apart by accounts here, and not by their nicks alone. */
    public function knowsPeople(): bool
    {
        return $this->negotiation->has('account-tag');
    }

    /** @return list<string> what the server has promised */
    public function capabilities(): array
    {
        return $this->negotiation->capabilities;
    }

    /** @param  string  $answerTo  the id of the line that it answers; empty for none */
    public function say(string $target, string $text, string $answerTo = ''): bool
    {
        // A line whose id could not be kept as it was is answered without naming it.
        $isNamed = $answerTo !== '' && ! str_starts_with($answerTo, ChatLine::HASHED);
        $tags = $isNamed && $this->negotiation->has('message-tags') ? ['+draft/reply' => $answerTo] : [];

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
        // What is queued goes out first.
        EventLoop::delay(0.05, fn () => $this->socket?->close());
    }

    public function ping(): void
    {
        $now = hrtime(true) / 1e9;
        if (
            $now - $this->heardAt > $this->patience->silentSeconds
            || (! $this->isWelcome && $now - $this->openedAt > $this->patience->welcomeSeconds)
        ) {
            $this->socket?->close();
        }
        if ($this->isWelcome) {
            $this->send(new IrcLine('PING', ['still there']));
        }
    }

    /** @throws ConnectException|TlsException|DnsException|StreamException */
    private function open(): Socket
    {
        $this->openedAt = $this->heardAt = hrtime(true) / 1e9;
        $to = $this->address->isNear ? "{$this->address->host}:{$this->address->port}" : $this->farAddress();
        $context = (new ConnectContext)->withTcpNoDelay();
        $within = new TimeoutCancellation(self::CONNECT_SECONDS);
        // Each attempt is one of ours, with the pauses that are told.
        $connector = new DnsSocketConnector;
        if (! $this->address->tls) {
            return $connector->connect($to, $context, $within);
        }
        // The name that was asked for is the one that the certificate must bear, whichever address it has.
        $tls = new ClientTlsContext($this->address->host);
        $socket = $connector->connect(
            $to,
            $context->withTlsContext($this->authorities === '' ? $tls : $tls->withCaFile($this->authorities)),
            $within,
        );
        $socket->setupTls($within);

        return $socket;
    }

    /** Looked up once and connected to as it was looked up, so that a name cannot mean another place a moment later. */
    private function farAddress(): string
    {
        /** @var DnsRecord $record */
        foreach (
            resolve($this->address->host, cancellation: new TimeoutCancellation(self::CONNECT_SECONDS)) as $record
        ) {
            $ip = $record->getValue();
            if (NearNetworks::allows($ip)) {
                return (str_contains($ip, ':') ? "[$ip]" : $ip).":{$this->address->port}";
            }
        }
        $this->refusal = ConnectionState::TooNear;
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
            $buffer .= $bytes;
            $from = 0;
            for ($taken = 1; ($end = strpos($buffer, "\n", $from)) !== false; $taken++) {
                $this->taken(substr($buffer, $from, $end - $from));
                $was = $was || $this->isWelcome;
                $from = $end + 1;
                if ($taken % self::LINES_A_TURN === 0) {
                    delay(0);
                }
                if ($this->refusal !== ConnectionState::Away) {
                    return $was;
                }
            }
            $buffer = substr($buffer, $from);
        }

        return $was;
    }

    /** One line, if there is room for it: what comes on top is counted, and whoever never stops is left. */
    private function taken(string $written): void
    {
        $now = hrtime(true);
        $this->heardAt = $now / 1e9;
        $mayBeTaken = $this->lines->take($now);
        if ($this->lines->exceeded >= $this->patience->floodedSeconds) {
            $this->giveUp(ConnectionState::Flooded);
        }
        // Whoever answers no PING is thought to be gone: that much there is always room for.
        if (! $mayBeTaken && ! str_starts_with($written, 'PING ')) {
            $this->dropped++;

            return;
        }
        $line = strlen($written) <= IrcLine::LONGEST_TAGS + IrcLine::LONGEST ? IrcLine::parse($written) : null;
        if ($line === null || ($line->command === 'PRIVMSG' && ! $this->chatLines->take($now))) {
            $this->dropped++;

            return;
        }
        $this->take($line);
    }

    private function take(IrcLine $line): void
    {
        match ($line->command) {
            'PING' => $this->send(new IrcLine('PONG', [$line->param(0)])),
            'CAP', 'AUTHENTICATE', '903' => $this->negotiate($line),
            '904', '905', '906', '908', '464' => $this->giveUp(ConnectionState::NotSignedIn),
            '433' => $this->giveUp(ConnectionState::NameTaken),
            '001' => $this->isWelcome = true,
            '353', '366', 'JOIN', 'PART', 'QUIT', 'NICK', 'MODE', 'KICK' => $this->people($line),
            'PRIVMSG', 'NOTICE' => ($this->heard)($line, $this),
            // A server that knows no capabilities says so (421), and welcomes all the same.
            default => null,
        };
    }

    private function giveUp(ConnectionState $refusal): void
    {
        $this->refusal = $refusal;
        $this->socket?->close();
    }

    private function negotiate(IrcLine $line): void
    {
        $answers = $this->negotiation->take($line);
        if ($answers === null) {
            $this->giveUp(ConnectionState::NotSignedIn);
        }
        foreach ($answers ?? [] as $answer) {
            $this->send($answer);
        }
    }

    private function people(IrcLine $line): void
    {
        foreach ($this->rosters as $name => $roster) {
            $roster->take($line, "#$name", $this->address->nick);
            if ($roster->isLeft) {
                // Sent away, or a rename: the next heart beat asks to come in again.
                unset($this->rosters[$name]);
            }
        }
    }

    private function send(IrcLine $line): bool
    {
        return $this->writer?->send($line->encode()) ?? false;
    }
}
