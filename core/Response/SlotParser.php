<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Change;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Slot;
use SilverParrot\Response\Syntax\UnknownName;
use SilverParrot\Source\Span;

/**
 * Reads the inside of one slot: a value or a verb, filters, and the name that it is given. The first mistake ends the
 * reading of this slot.
 */
final class SlotParser extends ValueParser
{
    /** @var list<Change> */
    public array $changes = [];

    /** What stands after `when`. */
    public function condition(int $from): ?Expression
    {
        $this->at = $from;
        try {
            $value = $this->orElse();
            if ($this->token()->is('|')) {
                throw new Misread(Mistake::Unexpected, $this->spanOf($this->token()), ['text' => '|']);
            }
            $this->mustBeOver();

            return $value;
        } catch (Misread $misread) {
            return $this->give($misread);
        }
    }

    public function slot(Span $span): ?Slot
    {
        try {
            $verb = $this->tokens[0]->kind === TokenKind::Path ? $this->vocabulary->verbs[$this->tokens[0]->folded] ?? null : null;
            $value = $verb === null ? $this->orElse() : $this->change($verb);
            $isQuiet = false;
            while ($this->token()->is('|')) {
                $value = $this->filtered($value);
                $isQuiet = $isQuiet || $value->filter instanceof Filters\Quiet;
            }
            $as = $this->as();
            $this->mustBeOver();

            return new Slot($span, $value, $isQuiet, $as);
        } catch (Misread $misread) {
            return $this->give($misread);
        }
    }

    private function give(Misread $misread): null
    {
        $this->findings[] = $misread->finding;

        return null;
    }

    private function change(Verb $verb): Change
    {
        $described = $verb->describe();
        $head = $this->next();
        $incomplete = new Misread(Mistake::VerbIncomplete, $this->source->span($head->from, $this->tokens[$this->end]->from), ['verb' => $described->name, 'example' => trim($described->example, '[]')]);
        $amount = null;
        if ($verb->placeFirst()) {
            $place = $this->place($verb, $incomplete);
            if ($verb->joint() !== '') {
                if (! $this->token()->isWord($verb->joint())) {
                    throw $incomplete;
                }
                $this->next();
                $amount = $this->orElse();
            }
        } else {
            $joint = $this->lastJoint($verb->joint()) ?? throw $incomplete;
            $outer = $this->end;
            $this->end = $joint;
            $amount = $this->orElse();
            $this->mustBeOver();
            $this->end = $outer;
            $this->at = $joint + 1;
            $place = $this->place($verb, $incomplete);
        }

        return $this->changes[] = new Change($this->source->span($head->from, $this->tokens[$this->at - 1]->to), $verb, $amount, $place);
    }

    private function place(Verb $verb, Misread $incomplete): Call
    {
        $token = $this->token();
        if ($token->kind !== TokenKind::Path) {
            throw $token->kind === TokenKind::End ? $incomplete : new Misread(Mistake::PlaceExpected, $this->spanOf($token), ['verb' => $verb->describe()->name, 'example' => trim($verb->describe()->example, '[]')]);
        }
        $this->next();
        $call = $this->called($token, false);
        if ($call instanceof UnknownName) {
            // That nothing has this name says enough.
            throw new Misread(Mistake::UnknownName, $this->spanOf($token), already: array_pop($this->findings));
        }
        if (! $call instanceof Call || ! $call->name instanceof Writable) {
            throw new Misread(Mistake::CannotBeChanged, $this->spanOf($token), ['name' => $token->text]);
        }

        return $call;
    }

    /** The last `to` or `from` outside parentheses and before any filter: the verb's own. */
    private function lastJoint(string $word): ?int
    {
        $depth = 0;
        $last = null;
        for ($i = $this->at; $i < $this->end; $i++) {
            $token = $this->tokens[$i];
            $depth += $token->is('(') ? 1 : ($token->is(')') ? -1 : 0);
            if ($depth === 0 && ($token->is('|') || $token->isWord('as'))) {
                break;
            }
            if ($depth === 0 && $token->isWord($word)) {
                $last = $i;
            }
        }

        return $last;
    }

    private function as(): string
    {
        if (! $this->token()->isWord('as')) {
            return '';
        }
        $this->next();
        $token = $this->token();
        if ($token->kind !== TokenKind::Path || str_contains($token->text, '.')) {
            throw new Misread(Mistake::NameExpected, $this->spanOf($token), ['text' => 'as']);
        }
        $this->next();
        $name = $token->folded;
        if (isset(Vocabulary::RESERVED[$name])) {
            throw new Misread(Mistake::NameReserved, $this->spanOf($token), ['name' => $token->text]);
        }
        if (isset($this->vocabulary->names[$name]) || isset($this->bound[$name])) {
            throw new Misread(Mistake::NameTaken, $this->spanOf($token), ['name' => $token->text]);
        }

        return $name;
    }
}
