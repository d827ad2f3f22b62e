<?php

declare(strict_types=1);

namespace Ground\Servers;

use Ground\Paths;
use Ground\Port;
use Ground\Server;
use Ground\Settings;

/** The simulated streaming service: its chat and its web service for details. */
final readonly class Harbour implements Server
{
    public function __construct(private Paths $paths, private Settings $settings)
    {
    }

    public function name(): string
    {
        return 'harbour';
    }

    /** @return non-empty-list<string> */
    public function command(): array
    {
        return [
            PHP_BINARY,
            $this->paths->project.'/harbour/run.php',
            '--chat-port='.$this->settings->port('HARBOUR_CHAT_PORT'),
            '--details-port='.$this->settings->port('HARBOUR_DETAILS_PORT'),
            '--pace='.$this->settings->get('HARBOUR_PACE'),
            '--moderators='.$this->settings->get('HARBOUR_MODERATORS'),
        ];
    }

    public function environment(): array
    {
        return [
            'HARBOUR_KEY' => $this->settings->get('HARBOUR_KEY'),
            'HARBOUR_PARROT_KEY' => $this->settings->get('HARBOUR_PARROT_KEY'),
        ];
    }

    public function folder(): string
    {
        return $this->paths->project;
    }

    public function patience(): float
    {
        return 2;
    }

    public function isReady(): bool
    {
        return Port::answers($this->settings->port('HARBOUR_CHAT_PORT'));
    }
}
