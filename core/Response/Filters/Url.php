<?php

declare(strict_types=1);

namespace SilverParrot\Response\Filters;

use SilverParrot\Response\Described;
use SilverParrot\Response\Evaluation\Run;
use SilverParrot\Response\Outlook\Forecast;
use SilverParrot\Response\Outlook\Outlook;
use SilverParrot\Response\Outlook\ValueKind;

/** RFC 3986: everything but unreserved characters is written as its bytes. */
final readonly class Url extends TextFilter
{
    public function describe(): Described
    {
        return new Described('url', '', 'a text', 'https://charts.lantern-cove.example/find?q=[words | url]', 'Makes it fit for a place in an address.', 'passes it on');
    }

    public function outlook(Outlook $value, array $arguments, array $named, Forecast $in): Outlook
    {
        return $value->isOnly(ValueKind::Text) && is_string($value->written) ? Outlook::written(rawurlencode($value->written)) : $value->asText($value->shortest, 3 * $value->bytes, 3 * $value->bytes);
    }

    public function change(string $text, Run $run): string
    {
        return rawurlencode($text);
    }
}
