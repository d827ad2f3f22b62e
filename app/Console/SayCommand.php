<?php

declare(strict_types=1);

namespace App\Console;

use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Checks\Checks;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\LineMatch;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Hearing\Phrases\PhraseMatch;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Hearing\TriggerMatch;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\Answer;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\MemoryFormat;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Wording;

final class SayCommand extends CoreCommand
{
    private const TRIGGER = '!say';

    protected $signature = 'parrot:say
        {--response= : the response to say}
        {--line= : with a pack: a whole chat line to hear}
        {--caller=Tamsin : who speaks}
        {--levels= : the levels that the caller holds, by commas}
        {--whisper : the line is said to the parrot alone}
        {--words= : what is typed after the trigger}
        {--seed=1 : the same seed says the same words}
        {--now= : the moment, ISO 8601}
        {--pack= : a pack document}
        {--memory= : a memory document}
        {--readings= : recorded answers of look-ups, or troubles}
        {--profile=stream : the chat profile}
        {--json : a report for machines}';

    protected $description = 'Say a response, or hear a line, without a database';

    public function handle(Wording $wording): int
    {
        $response = $this->option('response');
        $line = $this->option('line');
        if (is_string($response) === is_string($line)) {
            throw is_string($line) ? BadArgument::both() : BadArgument::nothingToSay();
        }
        $path = $this->text('pack');
        [$pack, $flaws] = $path === '' ? [Pack::blank(), []] : $this->pack($path);
        $memory = $this->text('memory');
        [$situation, $more] = $memory === '' ? [new InitialState, []] : MemoryFormat::read($this->file($memory), $pack);
        [$situation, $unread] = $this->answered($situation->withDetailsOf($pack), $pack);
        $flaws = [...$flaws, ...$more, ...$unread];
        $isFlawed = $flaws !== [];
        if (is_string($response)) {
            $command = Say::on(self::TRIGGER, $response)->gated(Cooldown::none());
            $pack = $pack->withCommand($command, self::TRIGGER);
            // It stands in no pack: what is said of its text counts, and not what is said of a command.
            array_push(
                $flaws,
                ...array_map(
                    static fn (Finding $finding): Finding => $finding->alone(),
                    array_filter(
                        Checks::ofCommand($command, $pack),
                        static fn (Finding $finding): bool => $finding->at === '/responses/0/text',
                    ),
                ),
            );
            $line = self::TRIGGER.' '.$this->text('words');
        }
        $rehearsal = new Rehearsal($pack, $situation, $this->text('seed', '1'), $this->profile(), wording: $wording);
        $isWhisper = $this->option('whisper') === true;
        $outcome = $rehearsal->line('said', $this->caller($rehearsal), (string) $line, $this->moment(), $isWhisper);
        if (! is_string($response) && $outcome->command !== null) {
            $place = (int) array_search($outcome->command, $pack->commands, true);
            array_push(
                $flaws,
                ...array_map(
                    static fn (Finding $finding): Finding => $finding->within("/commands/$place"),
                    Checks::ofCommand($outcome->command, $pack),
                ),
            );
        }

        $match = match (true) {
            is_string($response) => null,
            $isWhisper => TriggerMatch::in($pack, (string) $line),
            default => LineMatch::in($pack, (string) $line),
        };

        return $this->report($outcome, $match, $flaws, $isFlawed, $wording);
    }

    private function caller(Rehearsal $rehearsal): Person
    {
        $name = $this->text('caller', 'Tamsin');
        $known = $rehearsal->person($name);
        $levels = [];
        foreach (array_filter(array_map(trim(...), explode(',', $this->text('levels')))) as $word) {
            $levels[] = Level::named($word) ?? throw BadArgument::level($word, Level::words());
        }

        return $known !== null && $levels === []
            ? $known
            : Person::known(
                $known->id ?? CastMember::idOf($name),
                $known->login ?? $name,
                $known->name ?? $name,
                Levels::of(...$levels),
                $known->tier ?? 0,
            );
    }

    /** @param  list<Finding>  $findings */
    private function report(
        Outcome $outcome,
        TriggerMatch|PhraseMatch|null $match,
        array $findings,
        bool $isFlawed,
        Wording $wording,
    ): int {
        $answer = Answer::of($outcome, $wording);
        if ($this->option('json') === true) {
            $this->json(
                $answer + [
                    'matched' => self::matched($match),
                    'findings' => array_map(static fn (Finding $finding): array => $finding->toArray(), $findings),
                ],
            );
        } else {
            foreach ($answer['said'] as $text) {
                $this->say($text);
            }
            if ($answer['closed'] !== null) {
                $this->say("silent: {$answer['closed']['sentence']}");
            }
            if ($answer['failed'] !== null) {
                $this->say("failed: {$answer['failed']['sentence']}");
            }
            $this->tell($findings);
        }

        return match (true) {
            $isFlawed => self::INVALID,
            $outcome->sayings === [] => self::FAILURE,
            default => self::SUCCESS,
        };
    }

    /** @return array{kind: string, text: string}|null by which word or phrase a command was set off */
    private static function matched(TriggerMatch|PhraseMatch|null $match): ?array
    {
        return match (true) {
            $match === null => null,
            $match instanceof PhraseMatch => ['kind' => 'phrase', 'text' => $match->phrase->text],
            default => ['kind' => 'trigger', 'text' => $match->typed],
        };
    }
}
