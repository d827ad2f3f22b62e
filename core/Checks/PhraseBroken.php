<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Hearing\Phrases\PhraseFlaw;
use SilverParrot\Hearing\Phrases\PhraseSyntax;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/** A key phrase that cannot be read. */
final readonly class PhraseBroken extends AbstractCheck
{
    public function code(): string
    {
        return 'phrase-broken';
    }

    public function severity(): Severity
    {
        return Severity::Error;
    }

    public function sentence(): string
    {
        return 'The phrase “{phrase}” cannot be read: {why}.';
    }

    public function mend(): string
    {
        return 'Change it, or take it out.';
    }

    public function reason(): string
    {
        return 'It would never set the command off.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        $emotes = [];
        foreach ($at->pack->emotes as $emote) {
            $emotes[$emote->word] = true;
        }
        foreach ($at->pack->commands as $index => $command) {
            foreach ($command->triggers->phrases as $place => $phrase) {
                $read = PhraseSyntax::read($phrase->text, $emotes);
                if ($read instanceof PhraseFlaw) {
                    $findings[] = new Finding($this, null, "/commands/$index/phrases/$place", [
                        'phrase' => $phrase->text,
                        'why' => $read->value,
                    ]);
                }
            }
        }

        return $findings;
    }
}
