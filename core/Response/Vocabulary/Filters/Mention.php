<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Filters;

use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Vocabulary\Description;

final readonly class Mention extends TextFilter
{
    public function describe(): Description
    {
        return new Description(
            'mention',
            '',
            'a text',
            '[target | mention], the kettle is on.',
            'Writes a name so that its owner is told.',
            'passes it on',
            also: ['ping', 'tag', 'at'],
        );
    }

    protected function changed(ValueEstimate $text): ValueEstimate
    {
        return self::longer($text, 1);
    }

    public function change(string $text, EvaluationContext $run): string
    {
        return $run->world->profile->mention($text);
    }
}
