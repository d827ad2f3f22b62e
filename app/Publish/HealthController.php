<?php

declare(strict_types=1);

namespace App\Publish;

use App\Models\Channel;
use Illuminate\Http\Response;

/** How the parrot stands in the chat now, asked for every few seconds by the pages that say so. */
final class HealthController
{
    public function __invoke(Channel $channel, ConnectionHealth $health): Response
    {
        return response($health->inWords($channel), headers: ['Content-Type' => 'text/plain; charset=utf-8']);
    }
}
