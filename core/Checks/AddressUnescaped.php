<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Analysis\ValueKind;
use SilverParrot\Response\Syntax\Branch;
use SilverParrot\Response\Syntax\Choice;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Filtered;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Response\Syntax\Slot;
use SilverParrot\Response\Syntax\Text;
use SilverParrot\Response\Vocabulary\Filters\Link;
use SilverParrot\Response\Vocabulary\Filters\Url;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/**
 * A slot inside an address without the filter “url”. Silent on numbers, and where the address only begins behind the
 * slot.
 */
final readonly class AddressUnescaped extends AbstractCheck
{
    public function code(): string
    {
        return 'address-unescaped';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return '{slot} stands in an address as it is: a space or a sign in it breaks the link.';
    }

    public function mend(): string
    {
        return 'Write {instead}.';
    }

    public function reason(): string
    {
        return 'What people type has spaces and signs that mean something else in an address.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            $isNumber = [];
            foreach ($text->estimate->slots as $one) {
                $isNumber[spl_object_id($one->slot)] =
                    $one->estimate->isOnly(ValueKind::Number) && ! $one->estimate->canBeNothing;
            }
            foreach ($this->unescaped($text->response->parts, false)[0] as $slot) {
                if (! $isNumber[spl_object_id($slot)]) {
                    $written = $text->written($slot->span);
                    $end = $slot->value->span()->to - $slot->span->from;
                    $instead = mb_substr($written, 0, $end).' | url'.mb_substr($written, $end);
                    $findings[] = new Finding(
                        $this,
                        $slot->span,
                        $text->at,
                        ['slot' => $written, 'instead' => $instead],
                        $instead,
                    );
                }
            }
        }

        return $findings;
    }

    /**
     * @param  list<Part>  $parts
     * @return array{list<Slot>, bool} slots in an address, and whether it goes on behind these parts
     */
    private function unescaped(array $parts, bool $isInAddress): array
    {
        $slots = [];
        foreach ($parts as $part) {
            if ($part instanceof Text) {
                $isInAddress =
                    preg_match('#https?://\S*+$#iu', $part->text) === 1
                    || ($isInAddress && preg_match('/\s/u', $part->text) !== 1);
            } elseif ($part instanceof Slot && $isInAddress && ! $part->isQuiet && ! self::isEscaped($part->value)) {
                $slots[] = $part;
            } elseif ($part instanceof Choice) {
                $goesOn = false;
                foreach (
                    [
                        ...array_map(static fn (Branch $branch): array => $branch->parts, $part->branches),
                        $part->otherwise,
                    ] as $inside
                ) {
                    [$more, $isStill] = $this->unescaped($inside, $isInAddress);
                    array_push($slots, ...$more);
                    $goesOn = $goesOn || $isStill;
                }
                $isInAddress = $goesOn;
            }
        }

        return [$slots, $isInAddress];
    }

    private static function isEscaped(Expression $value): bool
    {
        while ($value instanceof Filtered && ! $value->filter instanceof Url && ! $value->filter instanceof Link) {
            $value = $value->value;
        }

        return $value instanceof Filtered;
    }
}
