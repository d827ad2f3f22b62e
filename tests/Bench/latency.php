<?php

declare(strict_types=1);

// From the last key to the shown answer in the editor, the pause included: a person types, the application is the real
// one with the demo in it, the browser headless. Milliseconds on this machine. Run by `bin/parrot bench`.

require dirname(__DIR__, 2).'/vendor/autoload.php';

use Ground\Port;
use Tests\Browser\Browser;
use Tests\Ground\Sandbox;

$sandbox = Sandbox::make();
$port = Port::firstFreeFrom(18280);
try {
    [, $printed] = $sandbox->parrot(['up', "--port=$port"]);
    preg_match('~http://\S+/sign-in/link/\S+~', $printed, $link);
    $browser = Browser::open();
    try {
        $browser
            ->go($link[0] ?? '')
            ->sees('Commands')
            ->go("http://127.0.0.1:$port/channels/1/write/commands/2")
            ->write('[data-response] .cm-content', 'Ahoy ');
        $took = [];
        foreach (mb_str_split(str_repeat('[caller], high water at [fact.tide] for [words or "you"]. ', 4)) as $key) {
            $browser->script('delete document.getElementById("preview").dataset.took');
            $browser->find('[data-response] .cm-content')->sendKeys($key);
            $took[] = (int) $browser->waitFor(
                static fn () => $browser->script('return document.getElementById("preview").dataset.took'),
            );
        }
    } finally {
        $browser->close();
    }
} finally {
    $sandbox->remove();
}
sort($took);
printf(
    "%-60s p50 %d ms, p95 %d ms, longest %d ms (%d keys)\n",
    'from a key to the shown preview',
    $took[intdiv(count($took), 2)],
    $took[(int) (count($took) * 0.95)],
    $took[count($took) - 1],
    count($took),
);
