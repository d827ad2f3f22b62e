<?php

declare(strict_types=1);

namespace SilverParrot\Response;

use SilverParrot\Pack\Pack;
use SilverParrot\Response\Evaluation\Failed;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Response\Syntax\Row;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Source;

use function strlen;

/** A response that has been read once and can be said any number of times. */
final class Response
{
    /** Made ready when it is first said. */
    private ?Row $row = null;

    /**
     * @param  list<Part>  $parts
     * @param  list<Finding>  $mistakes
     * @param  list<Call>  $calls  every use of a name, in whichever branch
     * @param  list<Syntax\Change>  $changes  every use of a verb
     * @param  list<array{Remembering, Call}>  $remembering  uses of names that may read of memory
     */
    private function __construct(public readonly string $text, public readonly array $parts, private readonly array $mistakes, public readonly array $calls, public readonly array $changes, private readonly array $remembering)
    {
    }

    public static function of(string $text, Vocabulary $vocabulary = new Vocabulary): self
    {
        $source = new Source($text);
        [$parts, $mistakes, $calls, $changes] = (new Parser($source, $vocabulary))->parse();

        $remembering = [];
        foreach ($calls as $call) {
            if ($call->name instanceof Remembering && $call->name->mayRead($call)) {
                $remembering[] = [$call->name, $call];
            }
        }

        return new self($source->text, $parts, $mistakes, $calls, $changes, $remembering);
    }

    /** Whether all of it can be read, whatever names it uses. */
    public function isReadable(): bool
    {
        return array_filter($this->mistakes, static fn (Finding $mistake): bool => $mistake->isError()) === [];
    }

    /** @return list<Finding> all that is wrong with it as it stands in this pack, in the order of the text */
    public function findings(Pack $pack): array
    {
        $findings = $this->mistakes;
        foreach ($this->calls as $call) {
            array_push($findings, ...$call->name->check($call, $pack));
        }
        foreach ($this->changes as $change) {
            $name = $change->place->name;
            if ($name instanceof Writable && ! $name->canBeWritten($change->place, $pack) && $name->check($change->place, $pack) === []) {
                $findings[] = new Finding(Mistake::CannotBeChanged, $change->place->span(), data: ['name' => implode('.', $change->place->path)]);
            }
        }
        usort($findings, static fn (Finding $a, Finding $b): int => ($a->span->from ?? 0) <=> ($b->span->from ?? 0));

        return $findings;
    }

    /** @return list<string> what it names and what it changes, folded, with the first part: "counter.planks" */
    public function namedPlaces(): array
    {
        $named = [];
        foreach ([...$this->calls, ...array_map(static fn (Syntax\Change $change): Call => $change->place, $this->changes)] as $call) {
            $named[implode('.', array_slice($call->folded, 0, 2))] = true;
        }

        return array_map(strval(...), array_keys($named));
    }

    /** @return list<string> the places that its verbs change, as they are written: "counter.planks" */
    public function changedPlaces(): array
    {
        return array_values(array_unique(array_map(static fn (Syntax\Change $change): string => implode('.', $change->place->path), $this->changes)));
    }

    /** All or nothing: what it says and changes, or why it fails, or nothing at all while something is not fetched yet. */
    public function say(Run $run): Said|Failed|null
    {
        try {
            $row = ($this->row ??= Row::of($this->parts))->fill($run);
        } catch (Failed $failed) {
            return $run->lacks ? $this->lacking($run) : $this->named($failed);
        }
        if ($run->lacks) {
            return $this->lacking($run);
        }
        $said = new Said($row, $run->changed === null ? [] : $run->changed->changes(), $this->row->own);

        // There are no loops, so it is enough to look once. Bytes are a cheap bound: only beyond it are characters counted.
        return strlen($said->text) > Limits::SAID && mb_strlen($said->text) > Limits::SAID ? Failed::tooMuchSaid() : $said;
    }

    /** What cannot be read fails with the sentence of its mistake. */
    private function named(Failed $failed): Failed
    {
        $span = $failed->span;
        if ($failed->reason !== 'unreadable' || $span === null) {
            return $failed;
        }
        foreach ($this->mistakes as $mistake) {
            if ($mistake->isError() && $mistake->span !== null && $span->from <= $mistake->span->from && $mistake->span->to <= $span->to) {
                return Failed::unreadable($span, $mistake->sentence());
            }
        }

        return $failed;
    }

    /** Once something must be fetched, all that the other names read is fetched with it, in one round. */
    private function lacking(Run $run): null
    {
        foreach ($this->remembering as [$name, $call]) {
            foreach ($name->reads($call, $run) as $key) {
                $run->knows($key);
            }
        }

        return null;
    }
}
