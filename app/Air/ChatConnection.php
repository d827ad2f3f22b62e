<?php

declare(strict_types=1);

namespace App\Air;

use Amp\ByteStream\StreamException;

use function Amp\delay;
use function Amp\Socket\connect;

use Amp\Socket\ConnectException;
use Amp\Socket\Socket;
use Closure;
use SilverParrot\Chat\Wire\IrcLine;

/** The talker's way into the chat. It comes back by itself, with growing pauses and a little chance in them. */
final class ChatConnection
{
    private const CAPABILITIES = 'message-tags server-time account-tag';

    private const LONGEST_PAUSE = 30.0;

    private const LONGEST_BUFFER = 65_536;

    private ?Socket $socket = null;

    private bool $isWelcome = false;

    private bool $ending = false;

    /** @var array<string, bool> joined channels, and whether the talker has rights there */
    private array $joined = [];

    /** Tells one connection's lines from another's, where the server gives no ids. */
    public readonly string $run;

    /** @param  Closure(IrcLine): void  $heard */
    public function __construct(private readonly string $address, private readonly string $nick, private readonly Closure $heard)
    {
        $this->run = bin2hex(random_bytes(6));
    }

    public function stay(): void
    {
        $pause = 0.5;
        while (! $this->ending) {
            try {
                $this->socket = $socket = connect($this->address);
                $this->greet();
                if ($this->read($socket)) {
                    $pause = 0.5;
                }
            } catch (ConnectException|StreamException) {
                // Not there, or gone: the next try says more than this one.
            }
            $this->socket = null;
            $this->isWelcome = false;
            $this->joined = [];
            if (! $this->ending) {
                delay($pause * random_int(80, 120) / 100);
                $pause = min(self::LONGEST_PAUSE, $pause * 2);
            }
        }
    }

    /** @param  list<string>  $logins of the channels it should be in */
    public function beIn(array $logins): void
    {
        if (! $this->isWelcome) {
            return;
        }
        foreach ($logins as $login) {
            if (! isset($this->joined[$login])) {
                $this->joined[$login] = false;
                $this->send(new IrcLine('JOIN', ["#$login"]));
            }
        }
        foreach (array_diff(array_keys($this->joined), $logins) as $login) {
            unset($this->joined[$login]);
            $this->send(new IrcLine('PART', ["#$login"]));
        }
    }

    /** @return string "away", "connected" or "moderator" */
    public function stateIn(string $login): string
    {
        return match ($this->joined[$login] ?? null) {
            null => 'away',
            true => 'moderator',
            false => 'connected',
        };
    }

    public function say(string $target, string $text): bool
    {
        return $this->isWelcome && $this->send(new IrcLine('PRIVMSG', [$target, $text]));
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
        $this->send(new IrcLine('PING', ['still there']));
    }

    private function greet(): void
    {
        $this->send(new IrcLine('CAP', ['LS', '302']));
        $this->send(new IrcLine('NICK', [$this->nick]));
        $this->send(new IrcLine('USER', [$this->nick, '0', '*', $this->nick]));
    }

    /** @return bool whether it was welcome at all */
    private function read(Socket $socket): bool
    {
        $buffer = '';
        $was = false;
        while (($bytes = $socket->read()) !== null && strlen($buffer) < self::LONGEST_BUFFER) {
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
        $socket->close();

        return $was;
    }

    private function take(IrcLine $line): void
    {
        match ($line->command) {
            'PING' => $this->send(new IrcLine('PONG', [$line->param(0)])),
            'CAP' => $this->capabilities($line),
            // A server that knows no capabilities says so, and welcomes all the same.
            '421' => null,
            '433' => $this->socket?->close(),
            '001' => $this->isWelcome = true,
            'MODE' => $this->mode($line),
            'PRIVMSG' => ($this->heard)($line),
            default => null,
        };
    }

    private function capabilities(IrcLine $line): void
    {
        match (strtoupper($line->param(1))) {
            'LS' => $this->send(new IrcLine('CAP', array_diff(explode(' ', self::CAPABILITIES), explode(' ', $line->param(2))) === [] ? ['REQ', self::CAPABILITIES] : ['END'])),
            'ACK', 'NAK' => $this->send(new IrcLine('CAP', ['END'])),
            default => null,
        };
    }

    private function mode(IrcLine $line): void
    {
        $login = ltrim($line->param(0), '#');
        if (isset($this->joined[$login]) && strcasecmp($line->param(2), $this->nick) === 0) {
            $this->joined[$login] = str_contains($line->param(1), '+o') || ($this->joined[$login] && ! str_contains($line->param(1), '-o'));
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
