<?php

declare(strict_types=1);

namespace Harbour;

use function Amp\async;

use Amp\Socket\ServerSocket;
use SilverParrot\Chat\Wire\IrcLine;

/** A chat server that speaks IRC with IRCv3 capabilities, peopled by a simulated crowd. */
final class ChatServer
{
    public const NAME = 'harbour.example';

    /** Capabilities that can be asked for. */
    private const CAPABILITIES = ['message-tags', 'server-time', 'account-tag', 'echo-message'];

    /** @var array<int, Client> */
    private array $clients = [];

    private int $messages = 0;

    /** @param  list<string>  $moderators nicks that have rights in every channel here */
    public function __construct(private readonly string $run, private readonly array $moderators, private readonly Limits $limits)
    {
    }

    public function serve(ServerSocket $server): void
    {
        while ($socket = $server->accept()) {
            async(fn () => $this->listen(new Client($socket)));
        }
    }

    /** A simulated person says something. */
    public function hear(Viewer $viewer, string $channel, string $text): void
    {
        $tags = ['account' => $viewer->login, self::NAME.'/name' => $viewer->name, self::NAME.'/levels' => implode(',', $viewer->levels)];
        $this->relay($viewer->login, $channel, $text, $tags, null);
    }

    private function listen(Client $client): void
    {
        $this->clients[$client->id] = $client;
        try {
            $buffer = '';
            while (($bytes = $client->socket->read()) !== null) {
                $buffer .= $bytes;
                if (strlen($buffer) > Client::LONGEST_BUFFER) {
                    $client->send(new IrcLine('ERROR', ['Line too long']));
                    break;
                }
                while (($end = strpos($buffer, "\n")) !== false) {
                    $line = IrcLine::parse(substr($buffer, 0, $end));
                    $buffer = substr($buffer, $end + 1);
                    if ($line !== null && ! $this->take($client, $line)) {
                        break 2;
                    }
                }
            }
        } finally {
            unset($this->clients[$client->id]);
            $client->socket->close();
        }
    }

    /** @return bool false to end the connection */
    private function take(Client $client, IrcLine $line): bool
    {
        match ($line->command) {
            'CAP' => $this->capabilities($client, $line),
            'PASS' => $client->password = $line->param(0),
            'NICK' => $this->nick($client, $line->param(0)),
            'USER' => $this->welcome($client->withUser()),
            'PING' => $client->send(new IrcLine('PONG', [self::NAME, $line->param(0)], self::NAME)),
            'JOIN' => $this->join($client, $line->param(0)),
            'PART' => $this->part($client, $line->param(0)),
            'PRIVMSG' => $this->said($client, $line->param(0), $line->param(1)),
            'PONG', 'NOTICE', 'QUIT', 'TAGMSG' => null,
            default => $client->send(new IrcLine('421', [$client->nick ?: '*', $line->command, 'Unknown command'], self::NAME)),
        };

        return $line->command !== 'QUIT';
    }

    private function capabilities(Client $client, IrcLine $line): void
    {
        $asked = array_filter(explode(' ', trim($line->param(1))), static fn (string $one): bool => $one !== '');
        $nick = $client->nick ?: '*';
        match (strtoupper($line->param(0))) {
            'LS' => $client->send(new IrcLine('CAP', [$nick, 'LS', implode(' ', self::CAPABILITIES)], self::NAME)),
            'REQ' => array_diff($asked, self::CAPABILITIES) === [] ? $client->grant($asked, $nick, self::NAME) : $client->send(new IrcLine('CAP', [$nick, 'NAK', implode(' ', $asked)], self::NAME)),
            'END' => $this->welcome($client->withCapabilities()),
            default => null,
        };
        if (in_array(strtoupper($line->param(0)), ['LS', 'REQ'], true)) {
            $client->negotiates = true;
        }
    }

    private function nick(Client $client, string $nick): void
    {
        if (preg_match('/^[A-Za-z0-9_]{1,30}$/D', $nick) !== 1) {
            $client->send(new IrcLine('432', ['*', $nick, 'Erroneous nickname'], self::NAME));

            return;
        }
        foreach ($this->clients as $other) {
            if ($other !== $client && strcasecmp($other->nick, $nick) === 0) {
                $client->send(new IrcLine('433', ['*', $nick, 'Nickname is already in use'], self::NAME));

                return;
            }
        }
        $client->nick = $nick;
        $this->welcome($client);
    }

    private function welcome(Client $client): void
    {
        if ($client->isReady()) {
            $client->isWelcome = true;
            $client->send(new IrcLine('001', [$client->nick, 'Welcome to the harbour'], self::NAME));
            $client->send(new IrcLine('376', [$client->nick, 'End of message'], self::NAME));
        }
    }

    private function join(Client $client, string $channels): void
    {
        foreach (explode(',', $channels) as $channel) {
            if (! $client->isWelcome || preg_match('/^#[A-Za-z0-9_]{1,50}$/D', $channel) !== 1) {
                $client->send(new IrcLine('403', [$client->nick ?: '*', $channel, 'No such channel'], self::NAME));

                continue;
            }
            $client->channels[strtolower($channel)] = true;
            $client->send(new IrcLine('JOIN', [$channel], "{$client->nick}!{$client->nick}@".self::NAME));
            if ($this->isModerator($client->nick)) {
                $client->send(new IrcLine('MODE', [$channel, '+o', $client->nick], self::NAME));
            }
            $client->send(new IrcLine('366', [$client->nick, $channel, 'End of names'], self::NAME));
        }
    }

    private function part(Client $client, string $channel): void
    {
        unset($client->channels[strtolower($channel)]);
        $client->send(new IrcLine('PART', [$channel], "{$client->nick}!{$client->nick}@".self::NAME));
    }

    private function said(Client $client, string $target, string $text): void
    {
        if (! isset($client->channels[strtolower($target)])) {
            $client->send(new IrcLine('404', [$client->nick ?: '*', $target, 'Cannot send to channel'], self::NAME));

            return;
        }
        $isModerator = $this->isModerator($client->nick);
        $refusal = $this->limits->refusal($client, $text, $isModerator);
        if ($refusal !== null) {
            $client->send(new IrcLine('NOTICE', [$target, $refusal], self::NAME));

            return;
        }
        $tags = ['account' => strtolower($client->nick), self::NAME.'/name' => $client->nick, self::NAME.'/levels' => $isModerator ? 'moderator' : ''];
        $this->relay($client->nick, $target, $text, $tags, $client);
    }

    /** @param  array<string, string>  $tags */
    private function relay(string $nick, string $channel, string $text, array $tags, ?Client $from): void
    {
        $tags += ['msgid' => "{$this->run}-".++$this->messages, 'time' => gmdate('Y-m-d\TH:i:s').sprintf('.%03dZ', (int) (fmod(microtime(true), 1) * 1000))];
        foreach ($this->clients as $client) {
            if (isset($client->channels[strtolower($channel)]) && ($client !== $from || $client->has('echo-message'))) {
                $client->send(new IrcLine('PRIVMSG', [$channel, $text], "$nick!$nick@".self::NAME, $client->has('message-tags') ? $tags : []));
            }
        }
    }

    private function isModerator(string $nick): bool
    {
        return in_array(strtolower($nick), $this->moderators, true);
    }
}
