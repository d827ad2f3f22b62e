<?php

declare(strict_types=1);

namespace SilverParrot\Response\Names;

use SilverParrot\Lookup\Request;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\Pack;
use SilverParrot\Response\Described;
use SilverParrot\Response\Evaluation\Numbers;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Name;
use SilverParrot\Response\Outlook\Forecast;
use SilverParrot\Response\Outlook\Many;
use SilverParrot\Response\Outlook\Outlook;
use SilverParrot\Response\Outlook\ValueKind;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Items;

/** `top 5 by pebbles`; read as a name with the field for its part and the number behind it. */
final readonly class TopName implements Name
{
    public function describe(): Described
    {
        return new Described('top', 'how many, “by”, and a field that holds numbers', 'a list of persons', 'The richest: [top 3 by pebbles | scores]', 'Who has the most of something, best first; “points” is another name for the first unit.');
    }

    public function check(Call $call, Pack $pack): array
    {
        $numbers = array_filter($pack->fields, static fn (Field $field): bool => $field->type->isNumber());
        $field = $pack->field($call->folded[1] ?? '');

        return $field !== null && $field->type->isNumber() ? [] : [Checking::unknownPart($call, 1, array_column($numbers, 'name'))];
    }

    public function outlook(Call $call, Forecast $in): Outlook
    {
        $count = $in->value($call->operands[0])->asNumber();
        $most = max(1, min(Limits::TOP, $count->range->high ?? Limits::TOP));
        $isBad = $count->range === null || $count->range->low < 1 || $count->range->high > Limits::TOP;

        return Outlook::items(Many::of(Outlook::of(ValueKind::Person, 1, $in->profile->longestName), $most), $in->lengths->joint())
            ->orGap(GapReason::NotSearched, ...$count->gaps, ...($isBad ? [GapReason::WrongKind] : []));
    }

    public function value(Call $call, Run $run): Items|Gap|null
    {
        $field = $run->world->pack->field($call->folded[1] ?? '');
        $count = Numbers::whole($call->operands[0]->evaluate($run));
        if ($field === null || $count instanceof Gap) {
            return $count instanceof Gap ? $count : new Gap(GapReason::Unknown, ['name' => implode('.', $call->path)]);
        }
        if ($count < 1 || $count > Limits::TOP) {
            return new Gap(GapReason::WrongKind, ['text' => (string) $count, 'wanted' => 'a number from 1 to '.Limits::TOP]);
        }
        $best = $run->read(Request::top($field->id, $count));

        return $best instanceof Items || $best instanceof Gap ? $best : null;
    }
}
