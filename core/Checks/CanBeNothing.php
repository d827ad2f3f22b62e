<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\EndsGaps;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Filtered;
use SilverParrot\Response\Syntax\SpanFrom;
use SilverParrot\Response\Syntax\Words;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/** What can be nothing, in a sentence without an “or”: words that were not typed, nobody named, an occasion that never was, a field nobody filled in, a stream that is off. Silent inside a [when …] that asks for it, behind a filter “default” or “quiet”, behind a verb that needs it, with “as”, in refusal texts, on details of the channel itself, and where nothing else is said. */
final readonly class CanBeNothing extends Concern
{
    public function code(): string
    {
        return 'can-be-nothing';
    }

    public function severity(): Severity
    {
        return Severity::Note;
    }

    public function sentence(): string
    {
        return 'Where {when}, {name} is nothing, and the sentence has a hole.';
    }

    public function mend(): string
    {
        return 'Write {instead}.';
    }

    public function reason(): string
    {
        return '“Ahoy !” is what people see then.';
    }

    public function look(Looked $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            foreach ($text->isResponse() && count($text->response->parts) > 1 ? $text->prospect->slots : [] as [$slot, $outlook]) {
                $root = $slot->value;
                while ($root instanceof Filtered && ! $root->filter instanceof EndsGaps) {
                    $root = $root->value;
                }
                $when = $outlook->canBeNothing && ! $slot->isQuiet && $slot->as === '' ? self::when($root, $at) : null;
                if ($when !== null) {
                    $written = $text->written($root->span());
                    $instead = $root === $slot->value ? "[$written or \"…\"]" : "[($written or \"…\") | …]";
                    $findings[] = new Finding($this, $slot->span, $text->at, ['name' => $written, 'when' => $when, 'instead' => $instead]);
                }
            }
        }

        return $findings;
    }

    /** @return string|null null for what is hardly ever nothing, or has a check of its own */
    private static function when(Expression $root, Looked $at): ?string
    {
        if ($root instanceof Words) {
            return 'nothing is typed';
        }
        if ($root instanceof SpanFrom) {
            return $root->moment instanceof Call && $root->moment->folded[0] === 'occasion' ? ($root->isSince ? 'it never was, or is still to come' : 'it is past, or never was set') : null;
        }
        if (! $root instanceof Call) {
            return null;
        }
        $part = $root->folded[1] ?? '';
        $isField = isset($at->pack->fields[$part]);

        return match ($root->folded[0]) {
            'target' => $isField ? 'nobody is named, or nothing is kept for them' : 'nobody is named',
            'occasion' => 'it never was',
            'caller' => $isField && $at->pack->fields[$part]->start === null && ! $at->pack->fields[$part]->type->isNumber() ? 'nothing is kept for them yet' : ($part === 'tier' ? 'they do not subscribe' : null),
            'channel' => $part === 'uptime' || $part === 'started' ? 'the stream is off' : null,
            default => null,
        };
    }
}
