<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Checks\NoCooldown;
use SilverParrot\Document\Document;
use SilverParrot\Pack\Refusal;
use SilverParrot\Source\Message;

/** How many seconds must lie between two runs, for everybody together and for each person. */
final readonly class Cooldown extends GateSetting
{
    /** A day: longer pauses are for timers and occasions. */
    public const LONGEST = 86_400;

    /**
     * @param  int  $channel  seconds before anybody may use it again; 0: at once
     * @param  int  $person  seconds before the same person may
     */
    public function __construct(public int $channel = 10, public int $person = 60)
    {
    }

    public static function none(): self
    {
        return new self(0, 0);
    }

    public static function key(): string
    {
        return 'cooldown';
    }

    public static function usual(): self
    {
        return new self;
    }

    public static function read(Document $at): self
    {
        $at->object(['channel', 'person']);
        $usual = new self;

        return new self(
            $at->has('channel') ? $at->at('channel')->whole(0, self::LONGEST) : $usual->channel,
            $at->has('person') ? $at->at('person')->whole(0, self::LONGEST) : $usual->person,
        );
    }

    /** Always said: whoever reads a pack wants to know it. */
    public function write(): array
    {
        return ['channel' => $this->channel, 'person' => $this->person];
    }

    public static function schema(): array
    {
        $seconds = ['$ref' => 'pack.schema.json#/$defs/seconds'];

        return [
            'description' => 'seconds; 10 and 60 where they are not given',
            'type' => 'object',
            'additionalProperties' => false,
            'properties' => ['channel' => $seconds, 'person' => $seconds],
        ];
    }

    public static function typed(mixed $fields): mixed
    {
        $whole = static function (mixed $text): int|string {
            $text = is_string($text) ? trim($text) : '';

            return ctype_digit($text) && strlen($text) < 9 ? (int) $text : $text;
        };
        $fields = is_array($fields) ? $fields : [];

        return ['channel' => $whole($fields['channel'] ?? ''), 'person' => $whole($fields['person'] ?? '')];
    }

    public function summary(): array
    {
        $channel = new Message('summary.cooldown', ['length' => self::length($this->channel)]);
        $person = new Message('summary.cooldown-of-person', ['length' => self::length($this->person, 'once-')]);

        return [
            ...($this->channel > 0 ? [$channel] : []),
            ...($this->person > 0 ? [$person] : []),
            ...($this->channel === 0 && $this->person === 0 ? [new Message('summary.no-cooldown')] : []),
        ];
    }

    public static function refusal(): Refusal
    {
        return new Refusal('cooldown', 'During the cooldown', ['left']);
    }

    public function gates(): array
    {
        return [
            ...($this->channel > 0 ? [new CooldownGate(GateScope::Channel, $this->channel)] : []),
            ...($this->person > 0 ? [new CooldownGate(GateScope::Person, $this->person)] : []),
        ];
    }

    public static function checks(): array
    {
        return [new NoCooldown];
    }

    /** @param  string  $as  "once-" where it tells how often something may be */
    private static function length(int $seconds, string $as = ''): Message
    {
        return match (true) {
            $seconds % 3600 === 0 => new Message("length.{$as}hours", ['count' => intdiv($seconds, 3600)]),
            $seconds % 60 === 0 => new Message("length.{$as}minutes", ['count' => intdiv($seconds, 60)]),
            default => new Message("length.{$as}seconds", ['count' => $seconds]),
        };
    }
}
