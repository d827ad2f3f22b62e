<?php

declare(strict_types=1);

namespace App\Air;

use SensitiveParameter;
use SilverParrot\Chat\Wire\PersonTags;

/** Which chat server, and as whom. */
final readonly class ChatAddress
{
    /**
     * @param  string  $name  of the channel there, without its sign
     * @param  bool  $isNear  whether it may lie on this machine or in its own network
     * @param  PersonTags|null  $tags  what its lines tell of people beyond the open standards; null for nothing
     */
    public function __construct(
        public string $host,
        public int $port,
        public string $nick,
        public string $name,
        public bool $tls = false,
        public SignIn $signIn = SignIn::None,
        public string $account = '',
        #[SensitiveParameter]
        public string $secret = '',
        public bool $isNear = false,
        public ?PersonTags $tags = null,
    ) {
    }

    /** Equal where one connection serves both. */
    public function connection(): string
    {
        return hash(
            'sha256',
            json_encode(
                [$this->host, $this->port, $this->nick, $this->tls, $this->signIn, $this->account, $this->secret],
                JSON_THROW_ON_ERROR,
            ),
        );
    }

    /** @return array<string, mixed> without the secret */
    public function __debugInfo(): array
    {
        return [
            'host' => $this->host,
            'port' => $this->port,
            'nick' => $this->nick,
            'room' => $this->name,
            'secret' => '…',
        ];
    }
}
