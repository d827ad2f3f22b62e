<?php

declare(strict_types=1);

namespace SilverParrot\Response\Parsing;

use SilverParrot\Response\Syntax\Branch;
use SilverParrot\Response\Syntax\Choice;
use SilverParrot\Response\Syntax\ErrorNode;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Response\Syntax\Slot;
use SilverParrot\Response\Syntax\Text;
use SilverParrot\Response\Syntax\UnknownName;
use SilverParrot\Response\SyntaxErrorCode;
use SilverParrot\Response\Vocabulary\Vocabulary;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Source;
use SilverParrot\Source\Span;

/**
 * Reads a response: text, slots and choices. What is inside a slot is read by SlotParser. A mistake leaves a broken
 * part and a finding, and reading goes on behind the next closing bracket.
 */
final class Parser
{
    private readonly Found $found;

    private readonly SlotParser $inside;

    private int $at = 0;

    private int $slots = 0;

    private readonly Lexer $lexer;

    public function __construct(private readonly Source $source, private readonly Vocabulary $vocabulary)
    {
        $this->lexer = new Lexer($source);
        $this->found = new Found;
        $this->inside = new SlotParser($source, $vocabulary, $this->found);
    }

    public function parse(): ParsedResponse
    {
        if ($this->source->length() > Limits::SOURCE) {
            $span = new Span(Limits::SOURCE, $this->source->length());

            return new ParsedResponse(
                [new ErrorNode($span)],
                [new Finding(SyntaxErrorCode::TooLong, $span, data: ['limit' => (string) Limits::SOURCE])],
                [],
            );
        }
        $parts = [];
        do {
            [$more, $stop] = $this->parts(0);
            $parts = [...$parts, ...$more];
            if ($stop !== null) {
                $this->found(
                    $stop->word === 'end' ? SyntaxErrorCode::StrayEnd : SyntaxErrorCode::StrayElse,
                    $stop->span,
                    replacement: '',
                );
                $parts[] = new ErrorNode($stop->span);
            }
        } while ($stop !== null);
        $findings = [...$this->lexer->findings, ...$this->found->findings];
        if (count($findings) > 1) {
            $from = static fn (Finding $one): int => $one->span->from ?? 0;
            usort($findings, static fn (Finding $a, Finding $b): int => $from($a) <=> $from($b));
        }

        return new ParsedResponse($parts, $findings, $this->found->nodes);
    }

    /** @return array{list<Part>, Stop|null} the parts up to an [else] or [end], and which it was */
    private function parts(int $depth): array
    {
        $parts = [];
        $text = $this->source->text;
        while ($this->at < strlen($text)) {
            $bracket = strpos($text, '[', $this->at);
            if ($bracket === false) {
                $parts[] = new Text(substr($text, $this->at));
                $this->at = strlen($text);
                break;
            }
            if (($text[$bracket + 1] ?? '') === '[') {
                $parts[] = new Text(substr($text, $this->at, $bracket + 1 - $this->at));
                $this->noteDoubled($bracket);
                $this->at = $bracket + 2;

                continue;
            }
            if ($bracket > $this->at) {
                $parts[] = new Text(substr($text, $this->at, $bracket - $this->at));
            }
            $part = $this->bracket($bracket, $depth);
            if ($part instanceof Stop) {
                return [$parts, $part];
            }
            $parts[] = $part;
        }

        return [$parts, null];
    }

    private function bracket(int $open, int $depth): Part|Stop
    {
        $before = count($this->lexer->findings);
        [$tokens, $this->at, $closed] = $this->lexer->slot($open + 1);
        $span = $this->source->span($open, $this->at);
        if (++$this->slots > Limits::SLOTS) {
            if ($this->slots === Limits::SLOTS + 1) {
                $this->found(SyntaxErrorCode::TooManySlots, $span, ['limit' => (string) Limits::SLOTS]);
            }

            return new ErrorNode($span);
        }
        if (! $closed) {
            $this->found(SyntaxErrorCode::SlotNotClosed, $span);

            return new ErrorNode($span);
        }
        if (count($this->lexer->findings) > $before) {
            // A quote mark without its partner: whatever else is seen here would be a guess.
            return new ErrorNode($span);
        }
        if (count($tokens) === 1) {
            $this->found(SyntaxErrorCode::EmptySlot, $span);

            return new ErrorNode($span);
        }
        if ($tokens[0]->isWord('end') && count($tokens) === 2) {
            return new Stop('end', null, $span);
        }
        if ($tokens[0]->isWord('else') && $tokens[1]->kind === TokenKind::End) {
            return new Stop('else', null, $span);
        }
        if ($tokens[0]->isWord('else') && $tokens[1]->isWord('when')) {
            return new Stop('else', $this->inside->condition($tokens, 2) ?? new UnknownName($span, 'when'), $span);
        }
        if ($tokens[0]->isWord('when')) {
            return $this->choice($this->inside->condition($tokens, 1), $span, $depth);
        }
        $part = $this->inside->slot($tokens, $span);
        if ($part instanceof Slot && $part->as !== '') {
            $this->found->bound[$part->as] = true;
        }

        return $part ?? new ErrorNode($span);
    }

    private function choice(?Expression $condition, Span $span, int $depth): Part
    {
        if ($depth >= Limits::NESTING) {
            $this->found(SyntaxErrorCode::TooDeep, $span, ['limit' => (string) Limits::NESTING]);

            // What is inside is still read, flat, so that its mistakes are told too.
            return new ErrorNode($span);
        }
        $branches = [];
        $otherwise = [];
        $isOtherwise = false;
        $broken = $condition === null;
        while (true) {
            [$parts, $stop] = $this->parts($depth + 1);
            if ($isOtherwise) {
                $otherwise = $parts;
            } elseif ($condition !== null) {
                $branches[] = new Branch($condition, $parts, $span);
            }
            if ($stop === null || $stop->word === 'end') {
                if ($stop === null) {
                    $this->found(SyntaxErrorCode::WhenNotClosed, $span);
                }

                return $stop === null || $broken ? new ErrorNode($span) : new Choice($branches, $otherwise);
            }
            if ($isOtherwise) {
                $this->found(SyntaxErrorCode::ElseAfterElse, $stop->span, replacement: '');
                $broken = true;
            }
            $condition = $stop->condition;
            $isOtherwise = $condition === null;
            $broken = $broken || $condition instanceof UnknownName;
            $span = $stop->span;
        }
    }

    /** `[[caller]` says "[caller]"; whoever wrote it may have meant the slot. */
    private function noteDoubled(int $bracket): void
    {
        if (preg_match('/\G\[\[([A-Za-z_][A-Za-z0-9_.]*)\]/', $this->source->text, $inside, 0, $bracket) === 1
            && isset($this->vocabulary->names[Fold::caseless(explode('.', $inside[1])[0])])) {
            $this->found(SyntaxErrorCode::DoubledBrackets, $this->source->span($bracket, $bracket + 2));
        }
    }

    /** @param  array<string, string>  $data */
    private function found(SyntaxErrorCode $mistake, Span $span, array $data = [], ?string $replacement = null): void
    {
        $this->found->findings[] = new Finding($mistake, $span, data: $data, replacement: $replacement);
    }
}
