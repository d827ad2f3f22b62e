<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Hearing\Phrases\PhraseIndex;
use SilverParrot\Pack\Phrase;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/** A key phrase is not found in a line that it must set off, or is found in one that it must not. */
final readonly class PhraseMisses extends AbstractCheck
{
    public function code(): string
    {
        return 'phrase-misses';
    }

    public function severity(): Severity
    {
        return Severity::Error;
    }

    public function sentence(): string
    {
        return '“{line}” {must} set off by “{phrase}”, and it {is}.';
    }

    public function mend(): string
    {
        return 'Change the phrase, or take the line away from it.';
    }

    public function reason(): string
    {
        return 'Somebody said so of a line that was heard.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->pack->commands as $index => $command) {
            foreach ($command->triggers->phrases as $place => $phrase) {
                $where = "/commands/$index/phrases/$place";
                if ($phrase->must !== [] || $phrase->mustNot !== []) {
                    array_push($findings, ...$this->missed($phrase, PhraseIndex::ofOne($phrase, $at->pack), $where));
                }
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function missed(Phrase $phrase, PhraseIndex $index, string $at): array
    {
        $findings = [];
        foreach ([[$phrase->must, true], [$phrase->mustNot, false]] as [$lines, $wanted]) {
            foreach ($lines as $line) {
                if (($index->in($line) !== null) !== $wanted) {
                    $findings[] = new Finding($this, null, $at, [
                        'line' => $line,
                        'phrase' => $phrase->text,
                        'must' => $wanted ? 'must be' : 'must not be',
                        'is' => $wanted ? 'is not' : 'is',
                    ]);
                }
            }
        }

        return $findings;
    }
}
