<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Trace;

use SilverParrot\Source\Message;

enum EntryKind: string
{
    /** A line was heard. */
    case Heard = 'heard';

    /** It came from the parrot itself or from another declared talker. */
    case Talker = 'talker';

    /** Its first word is no trigger and does not look like one. */
    case NoTrigger = 'no-trigger';

    /** Its first word looks like a trigger and is none. */
    case Mistyped = 'mistyped';

    /** Its first word is a command's trigger. */
    case Triggered = 'triggered';

    /** A command's phrase stands in it. */
    case Phrase = 'phrase';

    /** A pause between two steps is over. */
    case WentOn = 'went-on';

    /** A timer was due. */
    case Timer = 'timer';

    /** Another command was run. */
    case Ran = 'ran';

    /** Something was done besides saying something. */
    case Did = 'did';

    /** Something is to be done once the answer is kept. */
    case AskedFor = 'asked-for';

    case GateOpen = 'gate-open';

    case GateClosed = 'gate-closed';

    case ReplyHeldBack = 'reply-held-back';

    /** One of several responses was drawn. */
    case Drew = 'drew';

    /** A slot was filled in. */
    case Slot = 'slot';

    /** A slot had no value. */
    case SlotGap = 'slot-gap';

    /** A reading of a look-up was taken. */
    case LookedUp = 'looked-up';

    /** A condition was looked at. */
    case Choice = 'choice';

    /** Memory was changed. */
    case Changed = 'changed';

    /** The response failed. */
    case Failed = 'failed';

    /** The saying was fitted to the chat. */
    case Fitted = 'fitted';

    /** @param  array<string, string|Message>  $data  by the names that its sentence has for it */
    public function message(array $data): Message
    {
        $nothing = new Message('why.nothing');

        return match ($this) {
            self::Mistyped => new Message($data['nearest'] === '' ? 'why.mistyped' : 'why.mistyped-near', $data),
            self::Triggered => new Message(
                $data['typed'] === $data['trigger'] ? 'why.triggered' : 'why.triggered-as',
                $data,
            ),
            self::Slot => new Message($data['text'] === '' ? 'why.slot-empty' : 'why.slot', $data),
            self::Choice => new Message($data['holds'] === 'yes' ? 'why.choice' : 'why.choice-not', $data),
            self::Changed => new Message(
                'why.changed',
                array_map(static fn (string|Message $one): string|Message => $one === '' ? $nothing : $one, $data),
            ),
            default => new Message("why.{$this->value}", $data),
        };
    }
}
