<?php

declare(strict_types=1);

// The harbour: a simulated streaming service on this machine alone. Started by `bin/parrot up`.
// php harbour/run.php --chat-port=16680 --details-port=16780 [--seed=1] [--pace=12] [--channel=lantern_cove] [--moderators=silver_parrot]

require dirname(__DIR__).'/vendor/autoload.php';

use function Amp\async;
use function Amp\delay;
use function Amp\Socket\listen;

use Harbour\ChatServer;
use Harbour\Crowd;
use Harbour\DetailsServer;
use Harbour\Limits;

$options = getopt('', ['chat-port:', 'details-port:', 'seed:', 'pace:', 'channel:', 'moderators:', 'people:']);
$option = static fn (string $name, string $default): string => is_string($options[$name] ?? null) ? $options[$name] : $default;
$channel = $option('channel', 'lantern_cove');

$chat = new ChatServer(dechex(time()), explode(',', strtolower($option('moderators', 'silver_parrot'))), new Limits);
async(static fn () => $chat->serve(listen('127.0.0.1:'.$option('chat-port', '16680'))));

$details = new DetailsServer([$channel => [
    'title' => 'Planking the port side', 'category' => 'Planking', 'categories' => ['Planking', 'Caulking', 'Rigging', 'Painting'],
    'tags' => ['boats', 'wood'], 'viewers' => 61, 'followers' => 12345, 'live' => true, 'started' => gmdate('Y-m-d\TH:i:s\Z', time() - 3600),
]]);
async(static fn () => $details->serve(listen('127.0.0.1:'.$option('details-port', '16780'))));

$pace = min(3000.0, max(0.0, (float) $option('pace', '12')));
async(static function () use ($chat, $channel, $pace, $option): void {
    $crowd = new Crowd((int) $option('seed', '1'), (int) $option('people', '60'));
    while ($pace > 0) {
        delay($crowd->pause($pace));
        [$viewer, $text] = $crowd->next();
        $chat->hear($viewer, "#$channel", $text);
    }
});

Revolt\EventLoop::run();
