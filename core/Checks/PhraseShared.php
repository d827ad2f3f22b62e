<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Hearing\Phrases\PhraseIndex;
use SilverParrot\Hearing\Phrases\PhraseSyntax;
use SilverParrot\Pack\Command;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/** A line sets off phrases of two commands, of which one answers. Told at the one that does not. */
final readonly class PhraseShared extends AbstractCheck implements AcrossCommands
{
    public function code(): string
    {
        return 'phrase-shared';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return '“{line}” sets off “{phrase}” here and “{theirs}” of {other}, and {other} answers.';
    }

    public function mend(): string
    {
        return 'Change one of the two, or let this one answer too: the one with more words wins, of equals the one '
            .'with the lower place, or that stands first.';
    }

    public function reason(): string
    {
        return 'A line gets one answer, and this is not it.';
    }

    public function look(CheckContext $at): array
    {
        $index = PhraseIndex::of($at->pack);
        $emotes = array_fill_keys(array_column($at->pack->emotes, 'word'), true);
        $findings = [];
        $lines = [];
        $places = [];
        foreach ($index->isEmpty() ? [] : $at->pack->commands as $number => $command) {
            foreach ($command->isOn() ? $command->triggers->phrases : [] as $place => $phrase) {
                if (! $phrase->isOn) {
                    continue;
                }
                $places[spl_object_id($phrase)] = "/commands/$number/phrases/$place";
                $read = PhraseSyntax::read($phrase->text, $emotes);
                if (is_array($read) && $read !== []) {
                    $lines[] = [$command, $phrase, array_map(self::line(...), $read)];
                }
            }
        }
        foreach ($lines as [$command, $phrase, $ways]) {
            $line = $ways[0];
            $winner = $index->in($line);
            $losers = array_filter(
                $index->all($line),
                // Between equals the author’s own place has decided.
                static fn ($one): bool => $winner !== null
                    && $one->command !== $winner->command
                    && ($one->words !== $winner->words || $winner->phrase->place === 0),
            );
            // The first to claim a phrase has it: the same one of another command is found nowhere.
            $isLost = $winner !== null
                && $winner->command !== $command
                && ($winner->phrase->place === 0 || ! self::isHeard($index, $command, $ways));
            foreach ($isLost ? [[$command, $phrase]] : array_map(
                static fn ($one): array => [$one->command, $one->phrase],
                $losers,
            ) as [, $lost]) {
                if ($lost->isAlso) {
                    continue;
                }
                $where = $places[spl_object_id($lost)] ?? '';
                $findings[$where] ??= new Finding($this, null, $where, [
                    'line' => $line,
                    'phrase' => $lost->text,
                    'theirs' => $winner->phrase->text ?? '',
                    'other' => $winner->command->trigger ?? '',
                ]);
            }
        }

        return array_values($findings);
    }

    /** @param  non-empty-list<string>  $ways  a line for each way to say a phrase */
    private static function isHeard(PhraseIndex $index, Command $command, array $ways): bool
    {
        foreach ($ways as $line) {
            if ($index->in($line)?->command === $command) {
                return true;
            }
        }

        return false;
    }

    /** @param  list<string|null>  $words  and gaps, of which nothing is left out */
    private static function line(array $words): string
    {
        return implode(
            ' ',
            array_map(
                static fn (string $word): string => ltrim($word, "\x1F"),
                array_filter($words, is_string(...)),
            ),
        );
    }
}
