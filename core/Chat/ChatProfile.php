<?php

declare(strict_types=1);

namespace SilverParrot\Chat;

/** What a kind of chat allows. */
final readonly class ChatProfile
{
    /**
     * The rest of a relayed line around the text (RFC 2812, 2.3.1): ":nick!user@host PRIVMSG #channel :" and the end of
     * line.
     */
    private const HOST_BYTES = 63;

    /**
     * @param  int|null  $longestCharacters  of one message
     * @param  int|null  $longestLineBytes  of the whole relayed line, its end included
     * @param  list<string>  $instructionMarks  a message that begins with one is an instruction to the chat, not a
     *     saying
     * @param  int  $often  messages within the window
     * @param  list<string>  $talkerMarks  what other talkers' commands begin with (common practice)
     * @param  array<string, int>  $longestDetails  characters that details of channels and people have where such
     *     chats are: "category"
     */
    private function __construct(
        public string $name,
        public ?int $longestCharacters,
        public ?int $longestLineBytes,
        public int $shortestName,
        public int $longestName,
        public array $instructionMarks,
        public int $often = 20,
        public int $oftenForModerators = 100,
        public int $windowSeconds = 30,
        public array $talkerMarks = ['!'],
        public array $longestDetails = ['title' => 140, 'category' => 60, 'link' => 100],
    ) {
    }

    /**
     * 500 characters, names of 3 to 25 letters, digits and "_", 20 messages in 30 seconds (100 for moderators), and
     * titles of 140, categories of 60 and addresses of 100 characters are common practice.
     */
    public static function stream(): self
    {
        return new self('stream', 500, null, 3, 25, ['/', '.']);
    }

    /** A plain IRC server: 512 bytes a line (RFC 2812, 2.3). */
    public static function irc(): self
    {
        // Servers slow down whoever sends more than a line every two seconds (RFC 1459, 8.10).
        return new self('irc', null, 512, 1, 30, ['/', '.'], 15, 15);
    }

    public static function named(string $name): ?self
    {
        return match ($name) {
            'stream' => self::stream(),
            'irc' => self::irc(),
            default => null,
        };
    }

    /** @return list<string> */
    public static function names(): array
    {
        return ['stream', 'irc'];
    }

    public function withLongest(?int $characters, ?int $lineBytes): self
    {
        return new self(
            $this->name,
            $characters,
            $lineBytes,
            $this->shortestName,
            $this->longestName,
            $this->instructionMarks,
            $this->often,
            $this->oftenForModerators,
            $this->windowSeconds,
            $this->talkerMarks,
            $this->longestDetails,
        );
    }

    /** @return int|null bytes left for the text when it is relayed in this channel by this login */
    public function bytesForText(string $channel, string $login): ?int
    {
        return $this->longestLineBytes === null
            ? null
            : max(
                1,
                $this->longestLineBytes - strlen(":{$login}!{$login}@ PRIVMSG #{$channel} :\r\n") - self::HOST_BYTES,
            );
    }

    public function couldBeName(string $word): bool
    {
        return preg_match('/^[A-Za-z0-9_]+$/D', $word) === 1
            && strlen($word) >= $this->shortestName
            && strlen($word) <= $this->longestName;
    }

    public function mention(string $name): string
    {
        return '@'.ltrim($name, '@');
    }
}
