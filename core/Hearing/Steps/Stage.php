<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Steps;

use SilverParrot\Chat\Event;
use SilverParrot\Chat\Saying;
use SilverParrot\Chat\Voice;
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
use SilverParrot\World;

/** What a step has before it, and where it leaves what it changes. */
final readonly class Stage
{
    /**
     * @param  string  $textPath  names the step among all others, for its luck: "!tide/0"
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
    ) {
    }

    /** The same stage for one of the steps, or for a reply. */
    public function at(string $textPath): self
    {
        return new self(
            $this->command,
            $this->event,
            $this->scene,
            $this->world,
            $this->changes,
            $this->needed,
            $this->trace,
            $this->prepared,
            $textPath,
        );
    }

    /** A text is filled in and fitted to the chat. Null while something is not fetched yet. */
    public function say(string $text): Ran|EvaluationFailure|null
    {
        $this->trace?->saysFrom($text);
        $run = new EvaluationContext(
            $this->world,
            $this->scene,
            $this->textPath,
            $this->needed,
            $this->trace,
            new OwnResponses($this->prepared),
        );
        $run->changed = $this->changes;
        $said = $this->prepared->response($text)->say($run);
        if (! $said instanceof RenderedResponse) {
            return $said;
        }
        $delivery = $this->command->delivery;
        $login = $delivery->voice === Voice::Parrot ? $this->world->pack->parrot : $this->world->pack->channel->login;
        $fitted = Fitter::fit(
            $said,
            new MessageLimits($this->world->profile, $this->world->pack->channel->login, $login),
        );
        foreach ($fitted->notes as $note) {
            $this->trace?->fitted($note);
        }
        $fit = $fitted->text();
        if ($fit === '') {
            $this->trace?->fitted(new Message('fitted.nothing-left'));

            return new Ran;
        }
        $line = $this->event->line();

        return new Ran([new Saying($fit, $delivery->voice, $delivery->place, $line->key ?? '', $line->nick ?? '')]);
    }
}
