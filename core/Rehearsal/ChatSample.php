<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

/** Lines of a chat, drawn evenly from it where it has too many. */
final readonly class ChatSample
{
    /** Lines that one has at most. */
    public const MOST = 20_000;

    /**
     * @param  list<array{number: int, text: string, evening: string, second: int}>  $lines  oldest first: the line’s
     *     number, its text, which evening it is of, and seconds since 1970
     * @param  int  $every  of so many lines of the chat, one is in it
     */
    public function __construct(public array $lines, public int $every = 1)
    {
    }

    public static function of(ChatFile $file): self
    {
        $lines = [];
        foreach ($file->lines as $number => $line) {
            $lines[] = [
                'number' => $number,
                'text' => $line->text,
                'evening' => '',
                'second' => intdiv($line->millis, 1000),
            ];
        }

        return new self($lines);
    }

    public function evenings(): int
    {
        return count(array_unique(array_column($this->lines, 'evening')));
    }
}
