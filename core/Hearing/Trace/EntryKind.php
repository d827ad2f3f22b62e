<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Trace;

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

    /** A pause between two steps is over. */
    case WentOn = 'went-on';

    case GateOpen = 'gate-open';

    case GateClosed = 'gate-closed';

    /** One of several responses was drawn. */
    case Drew = 'drew';

    /** A slot was filled in. */
    case Slot = 'slot';

    /** A slot had no value. */
    case SlotGap = 'slot-gap';

    /** A condition was looked at. */
    case Choice = 'choice';

    /** Memory was changed. */
    case Changed = 'changed';

    /** The response failed. */
    case Failed = 'failed';

    /** The saying was fitted to the chat. */
    case Fitted = 'fitted';

    /** @param  array<string, string>  $data */
    public function sentence(array $data): string
    {
        return match ($this) {
            self::Heard => "heard: “{$data['line']}” from {$data['by']}",
            self::Talker => 'silent: this is a talker’s own line, and what talkers say sets nothing off',
            self::NoTrigger => 'silent: the line begins with no trigger',
            self::Mistyped => "silent: nothing is called {$data['typed']}"
                .($data['nearest'] === '' ? '' : ": did you mean {$data['nearest']}?"),
            self::Triggered => $data['typed'] === $data['trigger']
                ? "{$data['trigger']} was set off"
                : "{$data['trigger']} was set off by “{$data['typed']}”",
            self::WentOn => "the pause is over, and {$data['trigger']} goes on",
            self::GateOpen => "open: {$data['gate']}",
            self::GateClosed => "closed: {$data['sentence']}; to open it, {$data['opens']}",
            self::Drew => "response {$data['number']} of {$data['of']} was drawn",
            self::Slot => $data['text'] === ''
                ? "{$data['slot']} said nothing"
                : "{$data['slot']} said “{$data['text']}”",
            self::SlotGap => "{$data['slot']} has no value: {$data['reason']}",
            self::Choice => "{$data['slot']} ".($data['holds'] === 'yes' ? 'holds' : 'does not hold'),
            self::Changed => "{$data['what']} ({$data['scope']}): "
                .($data['from'] === '' ? 'nothing' : $data['from'])
                .' → '
                .($data['to'] === '' ? 'nothing' : $data['to']),
            self::Failed => "failed, nothing was kept: {$data['sentence']}",
            self::Fitted => "fitted: {$data['note']}",
        };
    }
}
