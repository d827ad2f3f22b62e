<?php

declare(strict_types=1);

namespace App\Publish;

use App\Models\Channel;
use App\Models\Edition;
use App\Storage\Assembler;
use SilverParrot\Checks\Checks;
use SilverParrot\Hearing\InOneSentence;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Difference;
use SilverParrot\Pack\Differences;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\Expected;
use SilverParrot\Rehearsal\Holding;
use SilverParrot\Source\Finding;

/** What stands between the draft and the air. */
final readonly class Between
{
    /**
     * @param  list<Finding>  $findings  of the draft
     * @param  list<Holding>  $broken  expectations that no longer hold
     * @param  list<Difference>  $differences
     */
    private function __construct(public Pack $draft, public ?Pack $air, public array $findings, public array $broken, public array $differences)
    {
    }

    /** @return array{string, string} what a command is in one sentence, on the air and in the draft; empty where there is none */
    public function sentences(Difference $difference): array
    {
        $of = static fn (?Command $command): string => $command === null ? '' : InOneSentence::of($command);

        return [$of($this->air?->byId($difference->id)), $of($this->draft->byId($difference->id))];
    }

    public static function of(Channel $channel, Assembler $assembler): self
    {
        $draft = $assembler->document($channel);
        $broken = [];
        foreach ($draft->commands as $command) {
            foreach ($command->about->expectations as $expectation) {
                $holding = Expected::check($draft, $expectation, $channel->profile());
                if (! $holding->holds()) {
                    $broken[] = $holding;
                }
            }
        }
        /** @var Edition|null $edition */
        $edition = $channel->edition_on_air === null ? null : $channel->editions()->where('number', $channel->edition_on_air)->first();

        $air = $edition === null ? null : Editions::packOf($edition);

        return new self($draft, $air, Checks::of($draft, $channel->surroundings()), $broken, Differences::between($air, $draft));
    }

    public function hasErrors(): bool
    {
        return array_filter($this->findings, static fn (Finding $finding): bool => $finding->isError()) !== [];
    }
}
