<?php

declare(strict_types=1);

namespace SilverParrot\Response\Filters;

use SilverParrot\Response\Described;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Filter;
use SilverParrot\Source\Ends;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Value;

final readonly class Link implements Filter
{
    public function describe(): Described
    {
        return new Described('link', '', 'a text', '["charts.lantern-cove.example" | link]', 'Writes an address so that a chat makes a link of it, with https:// before it where nothing of the kind is there.', 'passes it on');
    }

    public function arity(): array
    {
        return [0, 0];
    }

    public function apply(null|bool|int|string|Value $value, array $arguments, array $named, Run $run): string|Gap|null
    {
        if ($value === null) {
            return null;
        }
        $text = Ends::withoutSpace($run->print($value));
        if (preg_match('#^https?://[^\s]+$#Dui', $text) === 1) {
            return $text;
        }

        return preg_match('#^(?:[\p{L}\p{N}-]+\.)+\p{L}{2,63}(?::\d{1,5})?(?:[/?\#]\S*)?$#Du', $text) === 1 ? "https://$text"
            : new Gap(GapReason::WrongKind, ['text' => 'this', 'wanted' => 'an address like charts.lantern-cove.example/find']);
    }
}
