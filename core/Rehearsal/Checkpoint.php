<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

/**
 * How a rehearsal stood between two events, as what had changed since the checkpoint before: from there any moment
 * behind it can be heard again.
 */
final readonly class Checkpoint
{
    /**
     * @param  int  $events  that were heard before it
     * @param  int  $clock  the moment of the last of them, in milliseconds since 1970
     * @param  array<string, null|bool|int|string|array<string, mixed>>  $memory  by key id; null for what was cleared
     * @param  array<string, bool|string|null>  $service  what was set of the channel
     * @param  array<int, int>  $uncounted  lines that are not noted yet, by minute since 1970
     * @param  string|null  $pack  as a document, where it was changed from the chat
     * @param  array<int, array<string, mixed>>  $held  changes from the chat that wait for the streamer
     */
    public function __construct(
        public int $events,
        public int $clock,
        public array $memory,
        public array $service,
        public array $uncounted,
        public ?string $pack,
        public array $held = [],
    ) {
    }

    /** @param  non-empty-list<self>  $all  one behind the other */
    public static function joined(array $all): self
    {
        $memory = [];
        foreach ($all as $one) {
            $memory = $one->memory + $memory;
        }
        $last = $all[count($all) - 1];

        return new self(
            $last->events,
            $last->clock,
            $memory,
            $last->service,
            $last->uncounted,
            $last->pack,
            $last->held,
        );
    }

    public function toJson(): string
    {
        return json_encode(
            get_object_vars($this),
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_FORCE_OBJECT,
        );
    }

    public static function fromJson(string $json): ?self
    {
        /**
         * @var array{events: int, clock: int, memory: array<string, null|bool|int|string|array<string, mixed>>,
         *     service: array<string, bool|string|null>, uncounted: array<int, int>, pack: string|null,
         *     held?: array<int, array<string, mixed>>}|null $read
         */
        $read = json_decode($json, true);

        return $read === null ? null : new self(...$read);
    }
}
