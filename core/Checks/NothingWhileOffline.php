<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Hearing\Gates\StreamState;
use SilverParrot\Hearing\Gates\WhileStream;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/**
 * A command for while the stream is offline that names what there is only while it is live. Silent where it is for
 * both.
 */
final readonly class NothingWhileOffline extends AbstractCheck
{
    private const ONLY_LIVE = ['channel.uptime', 'channel.started'];

    public function code(): string
    {
        return 'nothing-while-offline';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return '{name} is nothing while the stream is offline, and this is said only then.';
    }

    public function mend(): string
    {
        return 'Take it out, or let the command answer while the stream is live.';
    }

    public function reason(): string
    {
        return 'A slot that never has a value leaves a gap in the sentence.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            foreach (
                $text->command->gates->get(WhileStream::class)->state === StreamState::Offline && $text->isResponse()
                    ? $text->response->calls
                    : [] as $call
            ) {
                $name = implode('.', array_slice($call->folded, 0, 2));
                if (in_array($name, self::ONLY_LIVE, true)) {
                    $findings[] = new Finding($this, $call->span(), $text->at, ['name' => $name]);
                }
            }
        }

        return $findings;
    }
}
