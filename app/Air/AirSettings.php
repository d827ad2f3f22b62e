<?php

declare(strict_types=1);

namespace App\Air;

use App\Models\Channel;
use App\Web\ReadingWorkers;
use App\Web\WebClient;
use Illuminate\Contracts\Config\Repository;
use SensitiveParameter;
use SilverParrot\Chat\Wire\PersonTags;

/** Where the talker finds chats and details, and what it may trust. */
final readonly class AirSettings
{
    private function __construct(
        private string $chat,
        private string $nick,
        public Details $details,
        public ServiceControl $service,
        public string $authorities,
        private bool $goesNear,
        #[SensitiveParameter]
        public string $key,
        /** @var list<string> addresses of proxies that stand before the port of streams */
        public array $proxies,
        public WebClient $web,
        public ReadingWorkers $workers,
    ) {
    }

    public static function of(Repository $config): self
    {
        $web = new ServiceWeb($config->string('air.details'), $config->string('air.service_key'));

        return new self(
            $config->string('air.chat'),
            $config->string('air.nick'),
            new Details($web),
            new ServiceControl($web),
            $config->string('air.authorities'),
            $config->boolean('air.near'),
            $config->string('app.key'),
            array_values(array_filter(explode(',', $config->string('air.stream_proxies')))),
            new WebClient($config->string('air.harbour')),
            new ReadingWorkers,
        );
    }

    /** The channel's own chat server, or else the harbour. */
    public function addressOf(Channel $channel): ChatAddress
    {
        $server = $channel->chat_server;
        if ($server === null) {
            [$host, $port] = explode(':', $this->chat, 2) + [1 => '6667'];

            return new ChatAddress(
                $host,
                (int) $port,
                $this->nick,
                $channel->login,
                isNear: true,
                tags: PersonTags::ofTheHarbour(),
            );
        }

        return new ChatAddress(
            $server['host'],
            $server['port'],
            $server['nick'],
            $server['room'],
            $server['tls'],
            SignIn::from($server['sign_in']),
            $server['account'],
            (string) $channel->chat_secret,
            $this->goesNear,
        );
    }
}
