<?php

declare(strict_types=1);

namespace App\Write;

use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\Command;
use SilverParrot\Source\Finding;

/** One command that is to be imported, before anything is kept. */
final readonly class ImportRow
{
    /**
     * @param  list<Finding>  $findings  their places counted from the command
     * @param  list<string>  $problems  why it cannot be kept; empty where it can
     * @param  string  $sentence  what the command is, in one
     */
    public function __construct(
        public Command $command,
        public array $findings,
        public array $problems,
        public string $sentence,
    ) {
    }

    /** Of its one response. */
    public function text(): string
    {
        return ($this->command->responses[0] ?? Say::response(''))->text();
    }

    public function canBeKept(): bool
    {
        return $this->problems === [];
    }

    /** It is worth a look before it is kept. */
    public function isInOrder(): bool
    {
        return $this->problems === [] && $this->findings === [];
    }

    public function canBeMended(): bool
    {
        return array_filter(
            $this->findings,
            static fn (Finding $finding): bool => $finding->replacement !== null
                && $finding->at === '/responses/0/text',
        ) !== [];
    }

    /**
     * The response with everything put in that the findings know to put in; from the end, so that places stay right.
     */
    public function mended(): string
    {
        $characters = mb_str_split($this->text());
        $findings = array_filter(
            $this->findings,
            static fn (Finding $finding): bool => $finding->replacement !== null
                && $finding->span !== null
                && $finding->at === '/responses/0/text',
        );
        usort($findings, static fn (Finding $a, Finding $b): int => ($b->span->from ?? 0) <=> ($a->span->from ?? 0));
        $from = count($characters) + 1;
        foreach ($findings as $finding) {
            if ($finding->span !== null && $finding->span->to <= $from) {
                array_splice($characters, $finding->span->from, $finding->span->to - $finding->span->from, [
                    (string) $finding->replacement,
                ]);
                $from = $finding->span->from;
            }
        }

        return implode('', $characters);
    }
}
