<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Chat\Happening;
use SilverParrot\Chat\HappeningKind;
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
    /** @var array<string, bool|string|null> by name of the channel's detail */
    public array $set = [];

    public function __construct(private readonly Readings $given)
    {
    }

    public function originOf(Request $request): ?ReadingOrigin
    {
        return $this->given instanceof TellsOrigins ? $this->given->originOf($request) : null;
    }

    public function read(Request $request): null|bool|int|string|Value
    {
        return $request->subject === 'channel' && array_key_exists($request->name, $this->set)
            ? $this->set[$request->name]
            : $this->given->read($request);
    }

    /** @return bool|null whether the stream is live from here on; null where that stays as it was */
    public function happens(Happening $happening): ?bool
    {
        $isLive = match ($happening->kind) {
            HappeningKind::StreamBegins => true,
            HappeningKind::StreamEnds => false,
            default => null,
        };
        if ($isLive !== null) {
            $this->set['live'] = $isLive;
            $this->set['started'] = $isLive ? $happening->at()->iso() : null;
        } elseif ($happening->kind === HappeningKind::Category) {
            $this->set['category'] = $happening->text;
        }

        return $isLive;
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
