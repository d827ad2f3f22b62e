<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use SilverParrot\Pack\Pack;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\Parsing\Mends;
use SilverParrot\Response\Parsing\ParsedResponse;
use SilverParrot\Response\Parsing\Parser;
use SilverParrot\Response\Syntax\Assignment;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Response\Syntax\Row;
use SilverParrot\Response\Syntax\Words;
use SilverParrot\Response\Vocabulary\Remembering;
use SilverParrot\Response\Vocabulary\Vocabulary;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Source;

use function strlen;

/** A response that has been read once and can be said any number of times. */
final class Response
{
    /** Made ready when it is first said. */
    private ?Row $row = null;

    /** @var list<Part> */
    public readonly array $parts;

    /** @var list<Call> every use of a name, in whichever branch */
    public readonly array $calls;

    /** @var list<MemoryUse> uses of names that may read of memory */
    private readonly array $remembering;

    private function __construct(
        public readonly string $text,
        private readonly ParsedResponse $parsed,
        private readonly Vocabulary $vocabulary,
    ) {
        $this->parts = $parsed->parts;
        $calls = $remembering = [];
        foreach ($parsed->nodes as $node) {
            if ($node instanceof Call) {
                $calls[] = $node;
                if ($node->name instanceof Remembering && $node->name->mayRead($node)) {
                    $remembering[] = new MemoryUse($node->name, $node);
                }
            }
        }
        [$this->calls, $this->remembering] = [$calls, $remembering];
    }

    public static function of(string $text, Vocabulary $vocabulary = new Vocabulary): self
    {
        $source = new Source($text);

        return new self($source->text, (new Parser($source, $vocabulary))->parse(), $vocabulary);
    }

    /** Whether all of it can be read, whatever names it uses. */
    public function isReadable(): bool
    {
        return array_filter($this->parsed->mistakes, static fn (Finding $mistake): bool => $mistake->isError()) === [];
    }

    /** @return list<Finding> all that is wrong with it as it stands in this pack, in the order of the text */
    public function findings(Pack $pack): array
    {
        $findings = $this->found($pack);

        return array_filter($findings, static fn (Finding $one): bool => $one->isError()) === []
            ? $findings
            : (new Mends($pack, fn (string $text): array => self::of($text, $this->vocabulary)->found($pack)))->tried(
                $findings,
                $this->text,
            );
    }

    /** @return list<Finding> with mends that nobody has tried */
    private function found(Pack $pack): array
    {
        $findings = $this->parsed->mistakes;
        foreach ($this->parsed->nodes as $node) {
            array_push($findings, ...$node->check($pack));
        }
        usort($findings, static fn (Finding $a, Finding $b): int => ($a->span->from ?? 0) <=> ($b->span->from ?? 0));

        return $findings;
    }

    /** @return list<string> what it names and what it changes, folded, with the first part: "counter.planks" */
    public function namedPlaces(): array
    {
        $named = [];
        foreach ($this->parsed->nodes as $node) {
            $named[$node->place() ?? ''] = true;
        }
        unset($named['']);

        return array_map(strval(...), array_keys($named));
    }

    /** Whether anything in it is what somebody typed behind the trigger. */
    public function takesWords(): bool
    {
        foreach (Part::expressions($this->parts) as $one) {
            if ($one instanceof Words || $one->place() === 'target') {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> the places that its verbs change, as they are written: "counter.planks" */
    public function changedPlaces(): array
    {
        $changed = [];
        foreach ($this->parsed->nodes as $node) {
            if ($node instanceof Assignment) {
                $changed[implode('.', $node->place->path)] = true;
            }
        }

        return array_map(strval(...), array_keys($changed));
    }

    /**
     * All or nothing: what it says and changes, or why it fails, or nothing at all while something is not fetched yet.
     */
    public function say(EvaluationContext $run): RenderedResponse|EvaluationFailure|null
    {
        try {
            $pieces = ($this->row ??= Row::of($this->parts))->fill($run);
        } catch (EvaluationFailure $failed) {
            return $run->lacks ? $this->lacking($run) : $this->named($failed);
        }
        if ($run->lacks) {
            return $this->lacking($run);
        }
        $said = new RenderedResponse(
            $pieces,
            $this->row->origins,
            $run->changed === null ? [] : $run->changed->changes(),
        );

        // There are no loops, so it is enough to look once. Bytes are a cheap bound: only beyond it are characters
        // counted.
        return strlen($said->text) > Limits::SAID && mb_strlen($said->text) > Limits::SAID
            ? EvaluationFailure::tooMuchSaid()
            : $said;
    }

    /** What cannot be read fails with the sentence of its mistake. */
    private function named(EvaluationFailure $failed): EvaluationFailure
    {
        $span = $failed->span;
        if ($failed->reason !== 'unreadable' || $span === null) {
            return $failed;
        }
        foreach ($this->parsed->mistakes as $mistake) {
            if (
                $mistake->isError()
                && $mistake->span !== null
                && $span->from <= $mistake->span->from
                && $mistake->span->to <= $span->to
            ) {
                return EvaluationFailure::unreadable($span, $mistake->sentence());
            }
        }

        return $failed;
    }

    /** Once something must be fetched, all that the other names read is fetched with it, in one round. */
    private function lacking(EvaluationContext $run): null
    {
        foreach ($this->remembering as $use) {
            foreach ($use->name->reads($use->call, $run) as $key) {
                $run->knows($key);
            }
        }

        return null;
    }
}
