<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Outbox\MessageLimits;
use SilverParrot\Response\Analysis\EstimatedSlot;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Filtered;
use SilverParrot\Response\Syntax\Slot;
use SilverParrot\Response\Vocabulary\Filters\Cut;
use SilverParrot\Response\Vocabulary\Filters\Url;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/**
 * A reply that gets longer than the chat takes because a viewer decides how long it is: their words, what they keep in
 * a field. Silent where a filter “cut” sees to it, where the longest still fits, and on what is written into an
 * address: there a letter of some scripts becomes nine, and a limit that holds for all would be none for most.
 */
final readonly class GrowsTooLong extends AbstractCheck
{
    /** Cut shorter than this, words are no longer worth saying. */
    private const SHORT = 40;

    public function code(): string
    {
        return 'grows-too-long';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return 'What people type can make this up to {longest} characters long, and the chat takes {limit}.';
    }

    public function mend(): string
    {
        return 'Cut it: {instead}.';
    }

    public function reason(): string
    {
        return 'The end of the sentence is lost, and with it what you wanted to say.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        $limits = new MessageLimits($at->around->profile, $at->pack->channel->login, $at->pack->parrot);
        foreach ($at->said() as $text) {
            $extent = $text->estimate->extent;
            $limit = $limits->characters() ?? $limits->bytes() ?? 0;
            if ($limit === 0 || $extent->typed === 0 || $extent->longest <= $limit) {
                continue;
            }
            $typed = array_values(
                array_filter(
                    $text->estimate->slots,
                    static fn (EstimatedSlot $one): bool => $one->estimate->isTyped
                        && ! $one->slot->isQuiet
                        && $one->estimate->longest > self::SHORT
                        && ! self::isAddress($one->slot->value),
                ),
            );
            if ($typed === []) {
                continue;
            }
            $slot = $typed[0]->slot;
            $each = max(self::SHORT, intdiv(max(0, $limit - ($extent->longest - $extent->typed)), count($typed)));
            $instead = self::cut($slot, $each, $text);
            $findings[] = new Finding(
                $this,
                $slot->span,
                $text->at,
                ['longest' => (string) $extent->longest, 'limit' => (string) $limit, 'instead' => $instead],
                $instead,
            );
        }

        return $findings;
    }

    /** The slot with a cut in it: one that is there already is made shorter, else one is put behind the value. */
    private static function cut(Slot $slot, int $each, ReadText $text): string
    {
        $written = $text->written($slot->span);
        for ($value = $slot->value; $value instanceof Filtered; $value = $value->value) {
            if ($value->filter instanceof Cut) {
                $argument = $value->arguments[0]->span();

                return mb_substr($written, 0, $argument->from - $slot->span->from)
                    .$each
                    .mb_substr($written, $argument->to - $slot->span->from);
            }
        }
        $end = $slot->value->span()->to - $slot->span->from;

        return mb_substr($written, 0, $end)." | cut $each".mb_substr($written, $end);
    }

    private static function isAddress(Expression $value): bool
    {
        while ($value instanceof Filtered && ! $value->filter instanceof Url) {
            $value = $value->value;
        }

        return $value instanceof Filtered;
    }
}
