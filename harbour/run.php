<?php

declare(strict_types=1);

// The harbour: a simulated streaming service on this machine alone. Started by `bin/parrot up`.
// php harbour/run.php --chat-port=16680 --details-port=16780 [--seed=1] [--people=60] [--pace=12]
//     [--channel=lantern_cove] [--moderators=silver_parrot] [--accounts=name:secret,…] [--password=…]
//     [--certificate=FILE --certificate-key=FILE]
// HARBOUR_KEY in the environment is what whoever wants to write there must know, HARBOUR_PARROT_KEY what the parrot
// shows to set title, category, tags and marks.

require dirname(__DIR__).'/vendor/autoload.php';

use Amp\Socket\BindContext;
use Amp\Socket\Certificate;
use Amp\Socket\ServerTlsContext;
use Amp\Socket\SocketException;
use Harbour\Accounts;
use Harbour\ChatServer;
use Harbour\Crowd;
use Harbour\Limits;
use Harbour\Town;
use Harbour\Troubles;
use Harbour\WebService;

use function Amp\async;
use function Amp\delay;
use function Amp\Socket\listen;

$options = getopt('', [
    'chat-port:',
    'details-port:',
    'seed:',
    'pace:',
    'channel:',
    'moderators:',
    'people:',
    'accounts:',
    'password:',
    'certificate:',
    'certificate-key:',
]);
$option = static fn (string $name, string $default = ''): string => is_string($options[$name] ?? null)
    ? $options[$name]
    : $default;
$channel = $option('channel', 'lantern_cove');

$town = new Town(
    new Crowd((int) $option('seed', '1'), (int) $option('people', '60')),
    min(Town::FASTEST, max(0.0, (float) $option('pace', '12'))),
);
$town->found($channel, [
    'title' => 'Planking the port side',
    'category' => 'Planking',
    'categories' => array_keys(Town::CATEGORIES),
    'tags' => ['boats', 'wood'],
    'viewers' => 61,
    'followers' => 12345,
    'subscribers' => 214,
    'guests' => ['Ilse'],
    'live' => true,
    'started' => gmdate('Y-m-d\TH:i:s\Z', time() - 3600),
]);
$troubles = new Troubles;
$chat = new ChatServer(
    dechex(time()),
    explode(',', strtolower($option('moderators', 'silver_parrot'))),
    new Limits,
    $town->crowd,
    Accounts::of($option('accounts'), $option('password')),
    $troubles,
);
$web = new WebService(
    $town,
    $chat,
    $troubles,
    (string) getenv('HARBOUR_KEY'),
    (string) getenv('HARBOUR_PARROT_KEY'),
);

// Lines are short and come alone: none waits for another to fill a packet.
$context = (new BindContext)->withTcpNoDelay();
if ($option('certificate') !== '') {
    $context = $context->withTlsContext(
        (new ServerTlsContext)->withDefaultCertificate(
            new Certificate($option('certificate'), $option('certificate-key')),
        ),
    );
}
try {
    $chatSocket = listen('127.0.0.1:'.$option('chat-port', '16680'), $context);
    $webSocket = listen('127.0.0.1:'.$option('details-port', '16780'));
} catch (SocketException $exception) {
    fwrite(STDERR, "The harbour cannot listen: {$exception->getMessage()}\n");
    exit(1);
}
async(static fn () => $chat->serve($chatSocket));
async(static fn () => $web->serve($webSocket));

async(static function () use ($chat, $town, $channel): void {
    for (; ;) {
        // A pace of nothing may be raised again while this waits.
        delay($town->pace > 0 ? min(60.0, $town->crowd->pause($town->pace)) : 1.0);
        if ($town->pace <= 0) {
            continue;
        }
        $crossing = $town->crowd->crossing();
        if ($crossing !== null) {
            $chat->cross($crossing, "#$channel", $town->crowd->isHere($crossing));

            continue;
        }
        [$viewer, $text] = $town->crowd->next();
        $chat->hear($viewer, "#$channel", $text);
    }
});

Revolt\EventLoop::run();
