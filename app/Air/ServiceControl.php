<?php

declare(strict_types=1);

namespace App\Air;

use Amp\Cancellation;
use SilverParrot\Actions\ActionDone;
use SilverParrot\Hearing\Service\ServiceAnswers;
use SilverParrot\Hearing\Service\ServiceChange;
use SilverParrot\Hearing\Service\ServiceDetails;
use SilverParrot\Hearing\Service\ServiceField;
use SilverParrot\Value\Moment;

/** Sets title, category and tags of a channel at the streaming service, and marks moments of its recording. */
final readonly class ServiceControl
{
    public function __construct(private ServiceWeb $service)
    {
    }

    public function change(string $login, ServiceChange $change, Cancellation $within): ActionDone
    {
        $path = '/channels/'.rawurlencode($login);
        [$status, $read] = $this->service->ask('GET', $path, $within);
        if ($status !== 200) {
            return self::refused($status, null, $change);
        }
        $before = self::details($read);
        $without = ServiceAnswers::without($change, $before);
        if ($without !== null) {
            return $without;
        }
        $isMark = $change->field === ServiceField::Mark;
        [$status, $read] = $this->service->ask('POST', $isMark ? "$path/marks" : $path, $within, [
            $isMark ? 'text' : $change->field->value => $change->field === ServiceField::Tags
                ? ServiceDetails::lines($change->value)
                : $change->value,
        ]);

        return match (true) {
            $status !== 200 => self::refused($status, $read, $change),
            $isMark => ServiceAnswers::marked($change, $before, self::at($read) ?? Moment::of(now())),
            default => ServiceAnswers::done($change, $before, self::details($read)),
        };
    }

    /**
     * What it is at the service now; for what is put back.
     *
     * @return string|null null where it does not say
     */
    public function value(string $login, ServiceField $field, Cancellation $within): ?string
    {
        [$status, $read] = $this->service->ask('GET', '/channels/'.rawurlencode($login), $within);

        return $status === 200 ? self::details($read)->value($field) : null;
    }

    /** @param  array<array-key, mixed>|null  $read */
    private static function refused(int $status, ?array $read, ServiceChange $change): ActionDone
    {
        $categories = is_array($read['categories'] ?? null) ? $read['categories'] : [];

        return match (true) {
            $status === 401, $status === 403, $status === 404 => ActionDone::refused('no-right'),
            $status === 429 => ActionDone::refused('too-many-requests'),
            $status === 409 && $change->field === ServiceField::Mark => ActionDone::refused('not-live'),
            $status === 422 && $change->field === ServiceField::Category => ServiceAnswers::noCategory(
                $change->value,
                ServiceDetails::of(Details::plain(['categories' => $categories]))->categories,
            ),
            $status >= 400 && $status < 500 => ActionDone::refused('not-taken'),
            default => ActionDone::refused('no-answer'),
        };
    }

    /** @param  array<array-key, mixed>|null  $read */
    private static function at(?array $read): ?Moment
    {
        return is_string($read['at'] ?? null) ? Moment::fromIso($read['at']) : null;
    }

    /** @param  array<array-key, mixed>|null  $read */
    private static function details(?array $read): ServiceDetails
    {
        return ServiceDetails::of(Details::plain($read ?? []));
    }
}
