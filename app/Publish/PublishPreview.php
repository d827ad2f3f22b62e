<?php

declare(strict_types=1);

namespace App\Publish;

use App\Wording\Sentences;
use App\Write\FindingsOfPack;
use SilverParrot\Format\Difference;
use SilverParrot\Hearing\CommandSummary;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\ExpectationResult;

/** What stands between the draft and the air. */
final readonly class PublishPreview
{
    /**
     * @param  FindingsOfPack  $findings  of the draft
     * @param  list<ExpectationResult>  $broken  expectations that no longer hold
     * @param  int  $expectations  how many there are
     * @param  int  $left  of these, how many were not looked at yet
     * @param  list<Difference>  $differences
     */
    public function __construct(
        public Pack $draft,
        public ?Pack $air,
        public FindingsOfPack $findings,
        public array $broken,
        public int $expectations,
        public int $left,
        public array $differences,
    ) {
    }

    /**
     * @return array{string, string} what a command is in one sentence, on the air and in the draft; empty where there
     *     is none
     */
    public function sentences(Difference $difference, Sentences $sentences): array
    {
        $of = static fn (?Command $command): string => $command === null
            ? ''
            : $sentences->summary(CommandSummary::of($command));

        return [$of($this->air?->byId($difference->id)), $of($this->draft->byId($difference->id))];
    }

    public function isLooking(): bool
    {
        return $this->findings->left > 0 || $this->left > 0;
    }

    public function blocked(): BlockedChanges
    {
        return new BlockedChanges($this->differences, $this->findings);
    }
}
