<?php

declare(strict_types=1);

namespace App\Publish;

use App\Air\SignIn;
use App\Models\Channel;
use Illuminate\Http\Request;

/** Which chat the parrot speaks in, as the fields say it. */
final readonly class ConnectionForm
{
    private const HOST = '/^(?=.{1,253}$)(?:[A-Za-z0-9](?:[A-Za-z0-9-]{0,62})\.)*[A-Za-z0-9][A-Za-z0-9-]{0,62}$/D';

    private const LONGEST_SECRET = 500;

    private function __construct(
        public bool $isHarbour,
        public string $host,
        public string $port,
        public bool $tls,
        public string $room,
        public string $nick,
        public ?SignIn $signIn,
        public string $account,
        #[\SensitiveParameter]
        private string $secret,
    ) {
    }

    public static function read(Request $request): self
    {
        $text = static fn (string $name): string => trim($request->string($name)->value());

        return new self(
            $text('where') !== 'server',
            $text('host'),
            $text('port'),
            $request->boolean('tls'),
            ltrim(mb_strtolower($text('room')), '#'),
            $text('nick'),
            SignIn::tryFrom($text('sign_in')),
            $text('account'),
            $request->string('secret')->value(),
        );
    }

    public static function of(Channel $channel): self
    {
        $server = $channel->chat_server;

        return $server === null
            ? new self(true, '', '6697', true, $channel->login, $channel->parrot, SignIn::None, '', '')
            : new self(
                false,
                $server['host'],
                (string) $server['port'],
                $server['tls'],
                $server['room'],
                $server['nick'],
                SignIn::from($server['sign_in']),
                $server['account'],
                '',
            );
    }

    /** @return array<string, string> what is wrong, by field */
    public function problems(Channel $channel): array
    {
        if ($this->isHarbour) {
            return [];
        }
        $needsSecret = $this->signIn !== SignIn::None;

        return array_filter(
            [
                'host' => match (true) {
                    $this->host === '' => 'Name the chat server, like chat.lantern-cove.example.',
                    preg_match(self::HOST, $this->host) !== 1 => 'A server’s name has letters, digits, dots and '
                        .'hyphens only, without a port and without “://”.',
                    default => '',
                },
                'port' => preg_match('/^\d{1,5}$/D', $this->port) === 1
                    && (int) $this->port >= 1
                    && (int) $this->port <= 65535
                        ? ''
                        : 'A port is a whole number from 1 to 65535; chats with TLS mostly have 6697.',
                'room' => preg_match('/^[^\s,:\x00-\x1F#]{1,49}$/Du', $this->room) === 1
                        ? ''
                        : 'The channel there has a name of 1 to 49 signs, without spaces and commas.',
                'nick' => preg_match('/^[A-Za-z_][A-Za-z0-9_-]{0,29}$/D', $this->nick) === 1
                        ? ''
                        : 'The parrot’s name there has 1 to 30 letters, digits, “_” and “-”, and begins with a letter.',
                'account' => $this->signIn === SignIn::Account
                    && ($this->account === '' || preg_match('/[\x00-\x20]/', $this->account) === 1)
                        ? 'Signing in needs the account’s name, without spaces.'
                        : '',
                'secret' => match (true) {
                    $this->signIn === null => 'Choose how the parrot signs in.',
                    ! $needsSecret => '',
                    ! $this->tls => 'A secret travels over an encrypted connection only: choose TLS.',
                    strlen($this->secret) > self::LONGEST_SECRET,
                    preg_match('/[\x00\r\n]/', $this->secret) === 1 => 'A secret has at most '
                        .self::LONGEST_SECRET.' signs on one line.',
                    $this->secret === '' && ! $this->goesToTheSame($channel) => 'Give the secret, again if the server '
                        .'or the account changed: it is never sent anywhere else than where it was meant for.',
                    default => '',
                },
            ],
            static fn (string $problem): bool => $problem !== '',
        );
    }

    public function keep(Channel $channel): void
    {
        if ($this->isHarbour) {
            $channel->update(['chat_server' => null, 'chat_secret' => null]);

            return;
        }
        $secret = match (true) {
            $this->signIn === SignIn::None => null,
            $this->secret !== '' => $this->secret,
            default => $channel->chat_secret,
        };
        $channel->update([
            'chat_server' => [
                'host' => mb_strtolower($this->host),
                'port' => (int) $this->port,
                'tls' => $this->tls,
                'nick' => $this->nick,
                'room' => $this->room,
                'sign_in' => ($this->signIn ?? SignIn::None)->value,
                'account' => $this->account,
            ],
            'chat_secret' => $secret,
        ]);
    }

    /** Whether the secret that is kept was meant for this server and account. */
    private function goesToTheSame(Channel $channel): bool
    {
        $server = $channel->chat_server;

        return $server !== null
            && $channel->chat_secret !== null
            && $server['host'] === mb_strtolower($this->host)
            && (string) $server['port'] === $this->port
            && $server['account'] === $this->account
            && $server['sign_in'] === $this->signIn?->value
            && $server['tls'];
    }
}
