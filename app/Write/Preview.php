<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Storage\Assembler;
use App\Storage\Definitions\Named\NamedDefinition;
use App\Storage\MemoryRows;
use App\Storage\Named;
use App\Wording\Sentences;
use Closure;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Checks\Checks;
use SilverParrot\Hearing\CommandSummary;
use SilverParrot\Hearing\EventHandler;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Lookup\CannedAnswer;
use SilverParrot\Lookup\Trouble;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\CommandResponse;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Triggers;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\LongestAnswer;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Response\Analysis\StaticAnalyzer;
use SilverParrot\Response\Branches;
use SilverParrot\Response\Response;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Response\SyntaxErrorCode;
use SilverParrot\Source\Finding;
use SilverParrot\Value\Moment;

/** What a command that is being written would say, for a chosen person and at the edges; nothing is kept. */
final readonly class Preview
{
    /** Replies and branches that are shown. */
    private const MOST = 40;

    public function __construct(
        private Assembler $assembler,
        private MemoryRows $memory,
        private ResponseCache $prepared,
        private Sentences $sentences,
    ) {
    }

    /**
     * @param  int  $focus  which of the responses the author is in
     * @param  string  $login  of somebody in the cast; empty: the one with the least levels who may
     * @param  bool  $all  whether every reply and every branch of each is shown
     */
    public function of(
        Channel $channel,
        Command $command,
        int $focus,
        string $login,
        string $words,
        bool $all = false,
    ): PreviewResult {
        $prepared = $this->prepared;
        $handler = new EventHandler($prepared);
        $pack = $this->assembler->names($channel, Named::in($command->sources(), $prepared));
        $response = $command->responses[$focus] ?? $command->responses[0] ?? null;
        $shown = self::only($command, $response === null ? [] : [$response]);
        $pack = Assembler::withThoseRun($channel, $pack, [$shown])->withCommand($shown);
        $situation = $this->memory->copy($channel)->withDetailsOf($pack);
        $caller = self::caller($pack, $shown, $login);
        $findings = array_fill_keys(array_keys($command->sources()), []);
        foreach (Checks::ofCommand($command, $pack, Assembler::environment($channel), $prepared) as $finding) {
            $findings[ltrim($finding->at, '/')][] = $finding->toArray() + [
                'replacement' => $finding->replacement,
                'makes' => self::makes($channel, $finding),
                'leads' => self::leads($channel, $finding),
            ];
        }

        return new PreviewResult(
            $caller,
            $this->say($handler, $pack, $situation, $caller, $shown, $words, $channel),
            $response === null ? [] : $this->edges($handler, $pack, $situation, $caller, $shown, $channel),
            $findings,
            $response === null ? null : self::length($pack, $command, $prepared->response($response->text()), $channel),
            $this->sentences->summary(CommandSummary::of($command, $prepared)),
            $all
                ? $this->all(
                    $command,
                    self::withSomebodyNamed($words, $pack, $caller),
                    fn (Command $one, string $typed): Outcome => $this->say(
                        $handler,
                        $pack->withCommand($one, $one->trigger),
                        $situation,
                        $caller,
                        $one,
                        $typed,
                        $channel,
                    ),
                )
                : [],
        );
    }

    /**
     * @param  Closure(Command, string): Outcome  $say
     * @return list<array{string, Outcome}> which reply and which branch, and what comes of it
     */
    private function all(Command $command, string $words, Closure $say): array
    {
        $all = [];
        foreach ($command->responses as $index => $response) {
            $name = count($command->responses) > 1 ? 'reply '.($index + 1) : '';
            $branches = Branches::of($response->text());
            foreach ($branches === [] ? [['', $response->text()]] : $branches as [$branch, $text]) {
                $shown = self::only($command, [$response->saying($text)]);
                $all[] = [implode(': ', array_filter([$name, $branch])), $say($shown, $words)];
            }
        }

        return array_slice($all, 0, self::MOST);
    }

    /** A branch that names the target says little while nobody is named. */
    private static function withSomebodyNamed(string $words, Pack $pack, Person $caller): string
    {
        foreach ($words === '' ? $pack->cast : [] as $member) {
            if (! $caller->is($member->login)) {
                return "@{$member->login}";
            }
        }

        return $words;
    }

    /** @return string|null where a name can be made that there is not yet; null where it cannot */
    private static function makes(Channel $channel, Finding $finding): ?string
    {
        $prefix = explode(' ', $finding->data['of'] ?? '')[0];
        $kind = $finding->kind === SyntaxErrorCode::UnknownPart ? NamedDefinition::prefixed($prefix) : null;

        return $kind === null
            ? null
            : route('remember.named.new', [$channel, $kind->key(), 'name' => $finding->data['name'] ?? '']);
    }

    /** @return string|null the page where a look-up, or a reading of one, is made that there is not yet */
    private static function leads(Channel $channel, Finding $finding): ?string
    {
        $of = explode('.', explode(' ', $finding->data['of'] ?? '')[0]);
        if ($finding->kind !== SyntaxErrorCode::UnknownPart || ($of[0] !== 'look-up' && $of[0] !== 'lookup')) {
            return null;
        }

        return route('remember.lookups', [
            $channel,
            ...isset($of[1]) ? ['find' => $of[1]] : ['name' => $finding->data['name'] ?? ''],
        ]);
    }

    private static function length(Pack $pack, Command $command, Response $response, Channel $channel): ?Length
    {
        if (! $response->isReadable()) {
            return null;
        }
        $triggers = $command->triggers->all();
        $estimate = StaticAnalyzer::of($response, $pack, $channel->profile(), $triggers);
        $usual = StaticAnalyzer::of($response, $pack, $channel->profile(), $triggers, isUsual: true);
        $longest = LongestAnswer::of(
            $response,
            $estimate,
            $pack,
            $channel->profile(),
            $triggers,
            Moment::of(now()),
        );

        return new Length($usual->extent, $estimate->extent, $longest, $channel->profile()->longestCharacters);
    }

    /** @return array<string, Outcome> by what is at the edge */
    private function edges(
        EventHandler $handler,
        Pack $pack,
        InitialState $situation,
        Person $caller,
        Command $command,
        Channel $channel,
    ): array {
        $longest = Person::known(
            'longest',
            str_repeat('w', $channel->profile()->longestName),
            'Wwww'.str_repeat('w', $channel->profile()->longestName - 4),
            $caller->levels,
            $caller->tier,
        );

        return [
            'with nothing typed' => $this->say($handler, $pack, $situation, $caller, $command, '', $channel),
            'for somebody unknown' => $this->say(
                $handler,
                $pack,
                $situation,
                $caller,
                $command,
                '@nobody_here 1',
                $channel,
            ),
            'for the longest name' => $this->say(
                $handler,
                $pack,
                $situation,
                $longest,
                $command,
                '@'.$longest->login,
                $channel,
            ),
            'while offline' => $this->say(
                $handler,
                $pack,
                $situation->withChannel(['live' => false, 'started' => null, 'viewers' => null]),
                $caller,
                $command,
                '',
                $channel,
            ),
            // Nothing from outside: neither the streaming service nor a look-up answers.
            'with the source unavailable' => $this->say(
                $handler,
                $pack,
                new InitialState(
                    rest: $situation->rest,
                    quotes: $situation->quotes,
                    ranking: $situation->ranking,
                    answers: array_map(
                        static fn (): array => [new CannedAnswer([], Trouble::Refused)],
                        $pack->lookups,
                    ),
                ),
                $caller,
                $command,
                '',
                $channel,
            ),
        ];
    }

    private function say(
        EventHandler $handler,
        Pack $pack,
        InitialState $situation,
        Person $caller,
        Command $command,
        string $words,
        Channel $channel,
    ): Outcome {
        $rehearsal = new Rehearsal(
            $pack,
            $situation,
            $channel->seed,
            $channel->profile(),
            handler: $handler,
            wording: $this->sentences,
        );

        return $rehearsal->line(
            'preview',
            $caller,
            trim("{$command->trigger} $words"),
            Moment::of(now()),
        );
    }

    private static function caller(Pack $pack, Command $command, string $login): Person
    {
        $chosen = array_filter(
            $pack->cast,
            static fn (CastMember $member): bool => $login === ''
                ? $command->isFor($member->person())
                : $member->login === $login,
        );

        return CastMember::lowest($chosen === [] ? $pack->cast : array_values($chosen))?->person()
            ?? Person::known(CastMember::idOf('somebody'), 'somebody', 'Somebody', Levels::of(Level::Streamer));
    }

    /**
     * The command as it is, with a trigger that is one even while the field is empty, and no gate but who may.
     *
     * @param  list<CommandResponse>  $responses
     */
    private static function only(Command $command, array $responses): Command
    {
        $trigger = preg_match('/^[^\s\[\]]+$/Du', $command->trigger) === 1 ? $command->trigger : '!…';

        return $command->on(new Triggers($trigger))->answering($responses)->lookingAt(ForLevels::class);
    }
}
