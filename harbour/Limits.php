<?php

declare(strict_types=1);

namespace Harbour;

/** What the harbour lets accounts say: how long, how often, and links from moderators only. */
final readonly class Limits
{
    private const WINDOW = 30.0;

    public const LONGEST = 500;

    public function __construct(
        private int $longest = self::LONGEST,
        private int $often = 20,
        private int $oftenForModerators = 100,
    ) {
    }

    /** @return string|null why a message is not relayed */
    public function refusal(Client $client, string $text, bool $isModerator): ?string
    {
        $now = microtime(true);
        $client->said = array_values(
            array_filter($client->said, static fn (float $at): bool => $at > $now - self::WINDOW),
        );
        if (mb_strlen($text) > $this->longest) {
            return 'msg_too_long: a message has at most '.$this->longest.' characters';
        }
        if (! $isModerator && str_contains($text, '://')) {
            return 'msg_links: only moderators may post links here';
        }
        if (count($client->said) >= ($isModerator ? $this->oftenForModerators : $this->often)) {
            return 'msg_too_often: slow down';
        }
        $client->said[] = $now;

        return null;
    }
}
