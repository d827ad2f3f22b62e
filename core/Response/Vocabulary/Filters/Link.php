<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\CertainFailure;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Analysis\ValueKind;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Filter;
use SilverParrot\Source\TextTrimmer;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Value;

final readonly class Link implements Filter
{
    public function describe(): Description
    {
        return new Description(
            'link',
            '',
            'a text',
            '["charts.lantern-cove.example" | link]',
            'Writes an address so that a chat makes a link of it, with https:// before it where nothing of the kind '
                .'is there.',
            'passes it on',
        );
    }

    public function arity(): array
    {
        return [0, 0];
    }

    public function estimate(ValueEstimate $value, array $arguments, array $named, EstimateContext $in): ValueEstimate
    {
        $isAddress = static fn (string $text): bool => self::address($text) !== null;
        $isOne = is_string($value->written) && $isAddress($value->written);
        $part = $value->isOnly(ValueKind::Items) ? $value->many?->item : $value;
        $isNever =
            ! $value->canBeNothing
            && $part !== null
            && $part->kinds !== []
            && $part->cannotBeRead($isAddress, ValueKind::Items);

        return $value
            ->asText(1, $value->longest + strlen('https://'), $value->bytes + strlen('https://'))
            ->orGap(...$isOne || $value->kinds === [] ? [] : [GapReason::WrongKind])
            ->failing($isNever ? CertainFailure::NotAnAddress : null);
    }

    public function apply(
        null|bool|int|string|Value $value,
        array $arguments,
        array $named,
        EvaluationContext $run,
    ): string|Gap|null {
        if ($value === null) {
            return null;
        }

        return self::address($run->print($value))
            ?? new Gap(GapReason::WrongKind, [
                'text' => 'this',
                'wanted' => 'an address like charts.lantern-cove.example/find',
            ]);
    }

    /** @return string|null the text as an address; null where it is none */
    private static function address(string $text): ?string
    {
        $text = TextTrimmer::withoutSpace($text);
        if (preg_match('#^https?://[\p{L}\p{N}\[]\S*$#Dui', $text) === 1) {
            return $text;
        }

        return preg_match('#^(?:[\p{L}\p{N}][\p{L}\p{N}-]*+\.)++\p{L}{2,63}(?::\d{1,5})?(?:[/?\#]\S*)?$#Du', $text)
            === 1
            ? "https://$text"
            : null;
    }
}
