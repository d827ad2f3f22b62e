<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Pack\Command;
use SilverParrot\Response\Analysis\ResponseEstimate;
use SilverParrot\Response\Response;
use SilverParrot\Response\Segments;
use SilverParrot\Source\Span;

/** One text of a command that is a response, read. */
final class ReadText
{
    /** @var list<array{string, bool, int}>|null found once for all checks */
    private ?array $segments = null;

    /**
     * @param  string  $at  JSON Pointer into the pack
     * @param  string  $textPath  in the command: "responses/0/text", "if_it_fails"
     */
    public function __construct(
        public readonly Command $command,
        public readonly string $at,
        public readonly string $textPath,
        public readonly Response $response,
        public readonly ResponseEstimate $estimate,
    ) {
    }

    /** @return list<array{string, bool, int}> as written, whether it is a slot, and where it begins */
    public function segments(): array
    {
        if ($this->segments !== null) {
            return $this->segments;
        }
        $segments = [];
        $from = 0;
        foreach (Segments::of($this->response->text) as [$text, $isSlot]) {
            $segments[] = [$text, $isSlot, $from];
            $from += mb_strlen($text);
        }

        return $this->segments = $segments;
    }

    /** @return list<array{string, int}> what is said as it stands, and where it begins */
    public function literals(): array
    {
        return array_values(
            array_map(
                static fn (array $one): array => [$one[0], $one[2]],
                array_filter($this->segments(), static fn (array $one): bool => ! $one[1]),
            ),
        );
    }

    /** What stands at a span, as it was typed. */
    public function written(Span $span): string
    {
        return mb_substr($this->response->text, $span->from, $span->to - $span->from);
    }

    /** Whether it is said as it is filled in, and not what a step goes by. */
    public function isSaid(): bool
    {
        return preg_match('~/steps/\d+/(?!say$)~', $this->textPath) !== 1;
    }

    public function isResponse(): bool
    {
        return str_starts_with($this->textPath, 'responses/');
    }
}
