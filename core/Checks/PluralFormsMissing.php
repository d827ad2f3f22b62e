<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Syntax\Filtered;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Response\Vocabulary\Filters\Plural;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;

/**
 * A plural without all the forms that the channel’s language has for whole numbers. Silent where two unnamed texts are
 * enough.
 */
final readonly class PluralFormsMissing extends AbstractCheck
{
    public function code(): string
    {
        return 'plural-forms-missing';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return 'This language has other words for {missing} as well.';
    }

    public function mend(): string
    {
        return 'Write them by name, like few="# planks".';
    }

    public function reason(): string
    {
        return 'Some numbers would be said in the wrong form.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            foreach (Part::expressions($text->response->parts) as $one) {
                if (! $one instanceof Filtered || ! $one->filter instanceof Plural) {
                    continue;
                }
                $has = [...array_keys($one->named), ...(count($one->arguments) > 0 ? ['one', 'other'] : []), 'other'];
                $missing = array_diff(Plural::categories($at->pack->channel->language), $has);
                if ($missing !== []) {
                    $findings[] = new Finding($this, $one->span(), $text->at, [
                        'missing' => implode(
                            ' and ',
                            array_map(static fn (string $one): string => "“{$one}”", $missing),
                        ),
                    ]);
                }
            }
        }

        return $findings;
    }
}
