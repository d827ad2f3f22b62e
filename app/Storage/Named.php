<?php

declare(strict_types=1);

namespace App\Storage;

use SilverParrot\Response\ResponseCache;

/** Which lists and facts some texts name: the others need not be brought whole to say them. */
final readonly class Named
{
    /**
     * @param  list<string>  $lists  folded names, as those that follow
     * @param  list<string>  $facts
     * @param  list<string>  $lookups
     */
    private function __construct(public array $lists, public array $facts, public array $lookups)
    {
    }

    /** @param  array<array-key, string>  $texts */
    public static function in(array $texts, ResponseCache $prepared): self
    {
        $named = ['list' => [], 'fact' => [], 'lookup' => []];
        foreach ($texts as $text) {
            foreach ($prepared->response($text)->calls as $call) {
                if (isset($named[$call->folded[0]], $call->folded[1])) {
                    $named[$call->folded[0]][] = $call->folded[1];
                }
            }
        }

        return new self(
            array_values(array_unique($named['list'])),
            array_values(array_unique($named['fact'])),
            array_values(array_unique($named['lookup'])),
        );
    }
}
