<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Names;

use Closure;
use SilverParrot\Lookup\Request;
use SilverParrot\Response\Analysis\EstimateContext;
use SilverParrot\Response\Analysis\ValueEstimate;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Source\Limits;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Value;

/** `page` */
final readonly class PageName extends SimpleName
{
    public function describe(): Description
    {
        return new Description(
            'page',
            '',
            'a text',
            'All commands: [page or "ask the crew"]',
            'The address of the public list of commands.',
            later: 'there is no such page yet, so it is nothing.',
        );
    }

    public function estimate(Call $call, EstimateContext $in): ValueEstimate
    {
        return ValueEstimate::text(1, Limits::READING)->orNothing()->orGap(GapReason::DetailsDown);
    }

    public function prepared(Call $call): Closure
    {
        $request = Request::channel('page');

        return static fn (EvaluationContext $run): null|bool|int|string|Value => $run->read($request);
    }

    public function isOffered(): bool
    {
        return false;
    }

    public function saysOwnText(): bool
    {
        return true;
    }
}
