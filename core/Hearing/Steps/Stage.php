<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Steps;

use SilverParrot\Chat\Event;
use SilverParrot\Chat\Place;
use SilverParrot\Chat\Saying;
use SilverParrot\Chat\Voice;
use SilverParrot\Hearing\Gates\GateContext;
use SilverParrot\Hearing\Gates\GateRefusal;
use SilverParrot\Hearing\ResponseDraw;
use SilverParrot\Hearing\Trace\Trace;
use SilverParrot\Memory\PendingChanges;
use SilverParrot\Outbox\Fitter;
use SilverParrot\Outbox\MessageLimits;
use SilverParrot\Pack\Command;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\EvaluationFailure;
use SilverParrot\Response\Evaluation\Invocation;
use SilverParrot\Response\Evaluation\PendingReads;
use SilverParrot\Response\OwnResponses;
use SilverParrot\Response\RenderedResponse;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Source\Message;
use SilverParrot\Source\Span;
use SilverParrot\World;

/** What a step has before it, and where it leaves what it changes. */
final readonly class Stage
{
    /**
     * @param  string  $textPath  names the step among all others, for its luck: "!tide/0"
     * @param  list<string>  $running  ids of the commands that run it
     * @param  PendingChanges  $changes  what gates and the steps before it have changed; what it changes goes on top
     */
    public function __construct(
        public Command $command,
        public Event $event,
        public Invocation $scene,
        public World $world,
        public PendingChanges $changes,
        public PendingReads $needed,
        public ?Trace $trace,
        private ResponseCache $prepared,
        public string $textPath,
        private array $running = [],
        private RunCount $runs = new RunCount,
    ) {
    }

    /** For the steps of a response whose gates are open. */
    public static function behind(
        GateContext $gates,
        PendingChanges $changes,
        PendingReads $needed,
        ?Trace $trace,
        ResponseCache $prepared,
    ): self {
        return new self(
            $gates->command,
            $gates->event,
            $gates->scene,
            $gates->world,
            $changes,
            $needed,
            $trace,
            $prepared,
            $gates->command->id,
        );
    }

    /** The same stage for one of the steps, or for a reply. */
    public function at(string $textPath): self
    {
        return $this->with($this->scene, $textPath);
    }

    /** The same stage for the steps behind one that something came of. */
    public function after(Ran $ran): self
    {
        return $ran->outcome === [] ? $this : $this->with($this->scene->withOutcome($ran->outcome), $this->textPath);
    }

    private function with(Invocation $scene, string $textPath): self
    {
        return new self(
            $this->command,
            $this->event,
            $scene,
            $this->world,
            $this->changes,
            $this->needed,
            $this->trace,
            $this->prepared,
            $textPath,
            $this->running,
            $this->runs,
        );
    }

    /** A text is filled in, and not said. Null while something is not fetched yet. */
    public function fill(string $text): string|EvaluationFailure|null
    {
        $filled = $this->filled($text);

        return $filled instanceof RenderedResponse ? $filled->text : $filled;
    }

    /**
     * The steps of another command, one after another; what it says is said in its own voice and place. A pause of its
     * own is not waited for.
     *
     * @param  string  $command  its id or trigger
     */
    public function run(string $command, string $words): Ran|EvaluationFailure|null
    {
        $called = $this->world->pack->run($command);
        $running = [...$this->running, $this->command->id];
        $why = match (true) {
            $called === null => "There is no command “{$command}” to run.",
            in_array($called->id, $running, true) => "{$called->trigger} would run itself.",
            ! $this->runs->one() => 'It would run more than '.RunCount::MOST.' commands.',
            default => '',
        };
        if ($called === null || $why !== '') {
            return EvaluationFailure::unreadable(new Span(0, 0), $why);
        }
        if (! $called->isOn()) {
            return new Ran;
        }
        $scene = Invocation::of($this->scene->caller, $words, $called->trigger, $this->scene->message);
        $this->trace?->ran($called->trigger);
        $context = new GateContext($called, $this->event, $this->world, $scene);
        $response = (new ResponseDraw($context, $this->needed, $this->changes))->response($this->trace);
        $stage = new self(
            $called,
            $this->event,
            $scene,
            $this->world,
            $this->changes,
            $this->needed,
            $this->trace,
            $this->prepared,
            "{$this->textPath}>{$called->id}",
            $running,
            $this->runs,
        );
        $sayings = [];
        foreach ($response instanceof GateRefusal ? [] : $response->steps as $at => $step) {
            $ran = $step instanceof Step ? $step->run($stage->at("{$this->textPath}>{$called->id}/$at")) : new Ran;
            if (! $ran instanceof Ran) {
                return $ran;
            }
            if ($ran->effect !== null) {
                return EvaluationFailure::refused(new Message('actions.not-run', ['name' => $called->trigger]), []);
            }
            $stage = $stage->after($ran);
            array_push($sayings, ...$ran->sayings);
        }

        return new Ran($sayings);
    }

    private function filled(string $text): RenderedResponse|EvaluationFailure|null
    {
        $this->trace?->saysFrom($text, $this->command->id);
        $run = new EvaluationContext(
            $this->world,
            $this->scene,
            $this->textPath,
            $this->needed,
            $this->trace,
            new OwnResponses($this->prepared),
        );
        $run->changed = $this->changes;

        return $this->prepared->response($text)->say($run);
    }

    /** A text is filled in and fitted to the chat. Null while something is not fetched yet. */
    public function say(string $text): Ran|EvaluationFailure|null
    {
        $said = $this->filled($text);
        if (! $said instanceof RenderedResponse) {
            return $said;
        }
        $delivery = $this->command->delivery;
        $login = $delivery->voice === Voice::Parrot ? $this->world->pack->parrot : $this->world->pack->channel->login;
        $fitted = Fitter::fit(
            $said,
            new MessageLimits($this->world->profile, $this->world->pack->channel->login, $login),
        );
        $isCut = false;
        foreach ($fitted->notes as $note) {
            $this->trace?->fitted($note);
            $isCut = $isCut || $note->key === Fitter::CUT;
        }
        $fit = $fitted->text();
        if ($fit === '') {
            $this->trace?->fitted(new Message('fitted.nothing-left'));

            return new Ran;
        }
        $line = $this->event->line();

        // What somebody whispered is nobody else's, and neither is its answer.
        $place = $line?->isWhisper === true ? Place::Whisper : $delivery->place;

        return new Ran([new Saying($fit, $delivery->voice, $place, $line->key ?? '', $line->nick ?? '', $isCut)]);
    }
}
