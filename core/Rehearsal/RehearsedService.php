<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Hearing\Service\ServiceAnswers;
use SilverParrot\Hearing\Service\ServiceChange;
use SilverParrot\Hearing\Service\ServiceDetails;
use SilverParrot\Hearing\Service\ServiceField;
use SilverParrot\Lookup\ReadingOrigin;
use SilverParrot\Lookup\Readings;
use SilverParrot\Lookup\Request;
use SilverParrot\Lookup\TellsOrigins;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Value;

/** The streaming service of a rehearsal: it takes what commands set, for as long as the rehearsal lasts. */
final class RehearsedService implements Readings, TellsOrigins
{
    /** @var array<string, string> by name of the channel's detail */
    private array $set = [];

    public function __construct(private readonly Readings $given)
    {
    }

    public function originOf(Request $request): ?ReadingOrigin
    {
        return $this->given instanceof TellsOrigins ? $this->given->originOf($request) : null;
    }

    public function read(Request $request): null|bool|int|string|Value
    {
        return $request->subject === 'channel' && isset($this->set[$request->name])
            ? $this->set[$request->name]
            : $this->given->read($request);
    }

    public function change(ServiceChange $change, Moment $now): ActionDone
    {
        $before = $this->details();
        $without = ServiceAnswers::without($change, $before);
        if ($without !== null || $change->field === ServiceField::Mark) {
            return $without ?? ServiceAnswers::marked($change, $before, $now);
        }
        $this->set[$change->field->value] = $change->field === ServiceField::Category
            ? ServiceAnswers::category($change->value, $before->categories) ?? $change->value
            : $change->value;

        return ServiceAnswers::done($change, $before, $this->details());
    }

    private function details(): ServiceDetails
    {
        $details = [];
        foreach (['title', 'category', 'tags', 'categories', 'live', 'started'] as $name) {
            $details[$name] = $this->read(Request::channel($name));
        }

        return ServiceDetails::of($details);
    }
}
