<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use SilverParrot\Response\Vocabulary\Vocabulary;

/** Responses that were read already, so that each is read once and not once a line. */
final class ResponseCache
{
    /** Texts that are kept; beyond it the oldest half is dropped, as previews make a new text with every key. */
    private const MOST = 20_000;

    /** @var array<string, Response> */
    private array $responses = [];

    /** Texts that were read so far, each as often as it had to be. */
    public int $read = 0;

    public function __construct(private readonly Vocabulary $vocabulary = new Vocabulary)
    {
    }

    public function response(string $text): Response
    {
        if (count($this->responses) > self::MOST) {
            $this->responses = array_slice($this->responses, intdiv(self::MOST, 2), null, true);
        }

        return $this->responses["\0$text"] ??= $this->read($text);
    }

    private function read(string $text): Response
    {
        $this->read++;

        return Response::of($text, $this->vocabulary);
    }
}
