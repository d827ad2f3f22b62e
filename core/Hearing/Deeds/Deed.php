<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;

/**
 * What a command can do besides saying something: the author’s work, and what people do with what they have. Who may
 * is the command’s own matter. A new one is one class and one line in Deeds.
 */
interface Deed
{
    /** What a document calls it: "keep quote". */
    public static function key(): string;

    /**
     * @return array<string, string> what it must know, each with the response that fills it where the author has
     *     written none
     */
    public function inputs(): array;

    /** @return list<string> the parts of outcome that what is said behind it may name */
    public function gives(): array;

    /**
     * Pure.
     *
     * @param  array<string, string>  $with  all inputs, filled in
     * @return ActionDone|null null while something is not fetched yet, which the scene has noted
     */
    public function do(array $with, DeedScene $scene): ?ActionDone;
}
