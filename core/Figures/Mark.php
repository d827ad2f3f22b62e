<?php

declare(strict_types=1);

namespace SilverParrot\Figures;

use SilverParrot\Source\Message;

/** One moment of an evening at which the pack had something to do. */
final readonly class Mark
{
    /**
     * @param  int  $millis  since the start
     * @param  string  $lane  of the picture, by its key
     * @param  string  $event  the key of what was heard
     * @param  string  $by  who brought it about; empty for nobody
     * @param  string  $text  what they wrote, or what happened
     * @param  list<string>  $said
     * @param  string  $gate  that was closed, or the reason of a failure
     * @param  Message|null  $why  nothing was said
     */
    public function __construct(
        public int $millis,
        public string $lane,
        public MarkKind $kind,
        public string $event,
        public string $by,
        public string $text,
        public array $said,
        public string $gate = '',
        public ?Message $why = null,
    ) {
    }
}
