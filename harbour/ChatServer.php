<?php

declare(strict_types=1);

namespace Harbour;

use Amp\ByteStream\StreamException;
use Amp\Socket\ServerSocket;
use Amp\Socket\Socket;
use Amp\Socket\TlsException;
use SilverParrot\Chat\Wire\IrcLine;

use function Amp\async;

/** A chat server that speaks IRC with IRCv3 capabilities, peopled by a simulated crowd. */
final class ChatServer
{
    public const NAME = 'harbour.example';

    /** Capabilities that can be asked for. */
    private const CAPABILITIES = ['message-tags', 'server-time', 'account-tag', 'echo-message'];

    /** Of an answer to AUTHENTICATE that goes on, in bytes (IRCv3 sasl). */
    private const SASL_PART = 400;

    /** @var array<int, Client> */
    private array $clients = [];

    private int $messages = 0;

    /** @param  list<string>  $moderators nicks that have rights in every channel here */
    public function __construct(
        private readonly string $run,
        private readonly array $moderators,
        private readonly Limits $limits,
        private readonly Crowd $crowd,
        private readonly Accounts $accounts,
        private readonly Troubles $troubles,
    ) {
    }

    public function serve(ServerSocket $server): void
    {
        while ($socket = $server->accept()) {
            $this->troubles->has('refuse') ? $socket->close() : async(fn () => $this->listen($socket));
        }
    }

    /**
     * A simulated person says something.
     *
     * @param  string  $target  a channel with its sign, or a nick
     */
    public function hear(Viewer $viewer, string $target, string $text): void
    {
        $this->relay($viewer->login, $target, $text, self::tagsOf($viewer), null);
    }

    /** A simulated person arrives or leaves. */
    public function cross(Viewer $viewer, string $channel, bool $arrives): void
    {
        $this->toAll($channel, new IrcLine($arrives ? 'JOIN' : 'PART', [$channel], self::mask($viewer->login)));
    }

    public function dropAll(): void
    {
        foreach ($this->clients as $client) {
            $client->socket->close();
        }
    }

    private function listen(Socket $socket): void
    {
        $client = new Client($socket);
        $this->clients[$client->id] = $client;
        try {
            if ($socket->isTlsConfigurationAvailable()) {
                $socket->setupTls();
            }
            $this->read($client);
        } catch (TlsException|StreamException) {
            // It wanted no such server, or has gone.
        } finally {
            unset($this->clients[$client->id]);
            $client->finish();
            foreach (array_keys($client->channels) as $channel) {
                $this->toAll($channel, new IrcLine('QUIT', [''], self::mask($client->nick)));
            }
        }
    }

    private function read(Client $client): void
    {
        $buffer = '';
        while (($bytes = $client->socket->read()) !== null) {
            $buffer .= $bytes;
            if (strlen($buffer) > Client::LONGEST_BUFFER) {
                $client->send(new IrcLine('ERROR', ['Line too long']));

                return;
            }
            while (($end = strpos($buffer, "\n")) !== false) {
                $line = IrcLine::parse(substr($buffer, 0, $end));
                $buffer = substr($buffer, $end + 1);
                if ($line !== null && ! $this->take($client, $line)) {
                    return;
                }
            }
        }
    }

    /** @return bool false to end the connection */
    private function take(Client $client, IrcLine $line): bool
    {
        match ($line->command) {
            'CAP' => $this->capabilities($client, $line),
            'PASS' => $client->password = $line->param(0),
            'AUTHENTICATE' => $this->signIn($client, $line->param(0)),
            'NICK' => $this->nick($client, $line->param(0)),
            'USER' => $this->welcome($client->withUser()),
            'PING' => $client->tell('PONG', self::NAME, $line->param(0)),
            'JOIN' => $this->join($client, $line->param(0)),
            'PART' => $this->part($client, $line->param(0)),
            'PRIVMSG' => $this->said($client, $line),
            'PONG', 'NOTICE', 'QUIT', 'TAGMSG' => null,
            default => $client->tell('421', $client->nick ?: '*', $line->command, 'Unknown command'),
        };

        return $line->command !== 'QUIT' && (! $client->isReady() || $this->accounts->admits($client));
    }

    private function capabilities(Client $client, IrcLine $line): void
    {
        $offered = $this->accounts->offersSignIn() ? [...self::CAPABILITIES, 'sasl'] : self::CAPABILITIES;
        $asked = array_values(
            array_filter(explode(' ', trim($line->param(1))), static fn (string $one): bool => $one !== ''),
        );
        $nick = $client->nick ?: '*';
        $verb = strtoupper($line->param(0));
        if ($verb === 'LS' || $verb === 'REQ') {
            $client->negotiates = true;
        }
        if ($verb === 'LS') {
            $client->tell(
                'CAP',
                $nick,
                'LS',
                str_replace('sasl', $line->param(1) >= '302' ? 'sasl=PLAIN' : 'sasl', implode(' ', $offered)),
            );
        } elseif ($verb === 'REQ') {
            $known = array_diff($asked, $offered) === [];
            if ($known) {
                $client->grant($asked);
            }
            $client->tell('CAP', $nick, $known ? 'ACK' : 'NAK', implode(' ', $asked));
        } elseif ($verb === 'END') {
            $this->welcome($client->withCapabilities());
        }
    }

    private function signIn(Client $client, string $answer): void
    {
        $nick = $client->nick ?: '*';
        if (! $client->has('sasl')) {
            $client->tell('421', $nick, 'AUTHENTICATE', 'Unknown command');
        } elseif (strtoupper($answer) === 'PLAIN') {
            $client->answer = '';
            $client->send(new IrcLine('AUTHENTICATE', ['+']));
        } elseif (strlen($answer) === self::SASL_PART) {
            $client->answer .= $answer;
        } elseif (($account = $this->accounts->proved($client->answer.($answer === '+' ? '' : $answer))) !== null) {
            $client->account = $account;
            $client->tell('900', $nick, self::mask($client->nick), $account, "You are now signed in as $account");
            $client->tell('903', $nick, 'Sign-in successful');
        } else {
            $client->tell('904', $nick, 'Sign-in failed');
        }
    }

    private function nick(Client $client, string $nick): void
    {
        if (preg_match('/^[A-Za-z0-9_]{1,30}$/D', $nick) !== 1) {
            $client->tell('432', '*', $nick, 'Erroneous nickname');

            return;
        }
        foreach ($this->clients as $other) {
            if ($other !== $client && strcasecmp($other->nick, $nick) === 0) {
                $client->tell('433', '*', $nick, 'Nickname is already in use');

                return;
            }
        }
        $client->nick = $nick;
        $this->welcome($client);
    }

    private function welcome(Client $client): void
    {
        if (! $client->isReady()) {
            return;
        }
        if (! $this->accounts->admits($client)) {
            $client->tell('464', $client->nick, 'Password incorrect');

            return;
        }
        $client->isWelcome = true;
        $client->tell('001', $client->nick, 'Welcome to the harbour');
        $client->tell('376', $client->nick, 'End of message');
    }

    private function join(Client $client, string $channels): void
    {
        foreach (explode(',', $channels) as $channel) {
            if (! $client->isWelcome || preg_match('/^#[A-Za-z0-9_]{1,50}$/D', $channel) !== 1) {
                $client->tell('403', $client->nick ?: '*', $channel, 'No such channel');

                continue;
            }
            $client->channels[strtolower($channel)] = true;
            $this->toAll($channel, new IrcLine('JOIN', [$channel], self::mask($client->nick)));
            if ($this->isModerator($client->nick)) {
                $this->toAll($channel, new IrcLine('MODE', [$channel, '+o', $client->nick], self::NAME));
            }
            $client->tell('353', $client->nick, '=', $channel, implode(' ', $this->names($channel)));
            $client->tell('366', $client->nick, $channel, 'End of names');
        }
    }

    /** @return list<string> with "@" before those with rights */
    private function names(string $channel): array
    {
        $here = array_filter(
            $this->clients,
            static fn (Client $client): bool => isset($client->channels[strtolower($channel)]),
        );

        return [
            ...array_map(
                fn (Client $client): string => ($this->isModerator($client->nick) ? '@' : '').$client->nick,
                array_values($here),
            ),
            ...array_map(
                static fn (Viewer $viewer): string => (in_array('moderator', $viewer->levels, true) ? '@' : '')
                    .$viewer->login,
                $this->crowd->present(),
            ),
        ];
    }

    private function part(Client $client, string $channel): void
    {
        $this->toAll($channel, new IrcLine('PART', [$channel], self::mask($client->nick)));
        unset($client->channels[strtolower($channel)]);
    }

    private function said(Client $client, IrcLine $line): void
    {
        [$target, $text] = [$line->param(0), $line->param(1)];
        $isWhisper = ! str_starts_with($target, '#');
        if (! $client->isWelcome || (! $isWhisper && ! isset($client->channels[strtolower($target)]))) {
            $client->tell('404', $client->nick ?: '*', $target, 'Cannot send to channel');

            return;
        }
        $isModerator = $this->isModerator($client->nick);
        $refusal = $this->limits->refusal($client, $text, $isModerator);
        if ($refusal !== null) {
            $client->tell('NOTICE', $target, $refusal);

            return;
        }
        $viewer = $this->crowd->viewer($client->nick);
        $tags =
            $viewer === null
                ? [
                    'account' => ($account = strtolower($client->account ?: $client->nick)),
                    self::NAME.'/id' => hash('xxh32', $account),
                    self::NAME.'/name' => $client->nick,
                    self::NAME.'/levels' => $isModerator ? 'moderator' : '',
                ]
                : self::tagsOf($viewer);
        // Client-only tags (IRCv3 message-tags) go through as they are: which line is answered, for one.
        $tags += array_filter(
            $line->tags,
            static fn (string $name): bool => str_starts_with($name, '+'),
            ARRAY_FILTER_USE_KEY,
        );
        $this->relay($client->nick, $target, $text, $tags, $client);
    }

    /** @param  array<string, string>  $tags */
    private function relay(string $nick, string $target, string $text, array $tags, ?Client $from): void
    {
        $tags += [
            'msgid' => "{$this->run}-".++$this->messages,
            'time' => gmdate('Y-m-d\TH:i:s').sprintf('.%03dZ', (int) (fmod(microtime(true), 1) * 1000)),
        ];
        $send = function () use ($nick, $target, $text, $tags, $from): void {
            $this->troubles->beLate('delay', Troubles::LATE_SECONDS);
            foreach ($this->clients as $client) {
                $isFor = str_starts_with($target, '#')
                    ? isset($client->channels[strtolower($target)])
                    : strcasecmp($client->nick, $target) === 0;
                if (($isFor && $client !== $from) || ($client === $from && $client->has('echo-message'))) {
                    $line = new IrcLine(
                        'PRIVMSG',
                        [$target, $text],
                        self::mask($nick),
                        $client->has('message-tags') ? $tags : [],
                    );
                    for ($times = $this->troubles->has('twice') ? 2 : 1; $times > 0; $times--) {
                        $client->send($line);
                    }
                }
            }
        };
        $this->troubles->has('delay') ? async($send) : $send();
    }

    private function toAll(string $channel, IrcLine $line): void
    {
        foreach ($this->clients as $client) {
            if (isset($client->channels[strtolower($channel)])) {
                $client->send($line);
            }
        }
    }

    /** @return array<string, string> */
    private static function tagsOf(Viewer $viewer): array
    {
        return [
            'account' => $viewer->login,
            self::NAME.'/id' => $viewer->id(),
            self::NAME.'/name' => $viewer->name,
            self::NAME.'/levels' => implode(',', $viewer->levels),
        ];
    }

    private static function mask(string $nick): string
    {
        return "$nick!$nick@".self::NAME;
    }

    private function isModerator(string $nick): bool
    {
        return in_array(strtolower($nick), $this->moderators, true)
            || in_array('moderator', $this->crowd->viewer($nick)->levels ?? [], true);
    }
}
