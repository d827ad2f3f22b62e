<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Service;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Hearing\Deeds\DeedScene;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Message;
use SilverParrot\Source\Suggestions;
use SilverParrot\Value\Moment;

/** What the chat hears of a change at the service: from what it said before, and what it says now. */
final class ServiceAnswers
{
    private const NEAREST = 3;

    /** Categories that are named where none is near. */
    private const KNOWN = 5;

    /** @return ActionDone|null where the service need not be asked */
    public static function without(ServiceChange $change, ServiceDetails $now): ?ActionDone
    {
        $wanted = Fold::caseless($change->value);

        return match (true) {
            $change->field === ServiceField::Mark => $now->isLive ? null : ActionDone::refused('not-live'),
            // Another order of tags, or another spelling of a category, is the same.
            $change->field === ServiceField::Tags => self::haveTags($change->value, $now->tags)
                ? ActionDone::refused('is-already', ['name' => self::told($change->value)])
                : null,
            $change->field === ServiceField::Category && $wanted === Fold::caseless($now->category),
            $change->value === $now->value($change->field) => ActionDone::refused('is-already', [
                'name' => $now->value($change->field),
            ]),
            $change->field === ServiceField::Category && $now->categories !== []
                && self::category($change->value, $now->categories) === null => self::noCategory(
                    $change->value,
                    $now->categories,
                ),
            default => null,
        };
    }

    public static function done(ServiceChange $change, ServiceDetails $before, ServiceDetails $after): ActionDone
    {
        $also = $change->field === ServiceField::Category ? self::also($before->tags, $after->tags) : null;

        return ActionDone::with([], [
            'name' => new Message("service.{$change->field->value}"),
            'before' => self::told($before->value($change->field)),
            'after' => self::told($after->value($change->field)),
            'also' => $also,
        ]);
    }

    public static function marked(ServiceChange $change, ServiceDetails $now, Moment $at): ActionDone
    {
        return ActionDone::with([], [
            'name' => $change->value === '' ? new Message('service.mark') : $change->value,
            'after' => $now->started === null ? '' : self::into($now->started, $at),
        ]);
    }

    /** Where a player of recordings finds it: hours, minutes and seconds since the stream began. */
    private static function into(Moment $started, Moment $at): string
    {
        $seconds = max(0, intdiv($at->millis - $started->millis, 1_000));

        return sprintf('%d:%02d:%02d', intdiv($seconds, 3_600), intdiv($seconds, 60) % 60, $seconds % 60);
    }

    /** @param  list<string>  $known */
    public static function category(string $typed, array $known): ?string
    {
        foreach ($known as $one) {
            if (Fold::caseless($one) === Fold::caseless($typed)) {
                return $one;
            }
        }

        return null;
    }

    /** @param  list<string>  $known */
    public static function noCategory(string $typed, array $known): ActionDone
    {
        $name = DeedScene::short($typed);
        $near = [];
        for ($left = $known; count($near) < self::NEAREST && ($one = Suggestions::to($typed, $left)) !== null;) {
            $near[] = $one;
            $left = array_values(array_diff($left, [$one]));
        }
        foreach ($left as $one) {
            if (count($near) < self::NEAREST && str_contains(Fold::caseless($one), Fold::caseless($typed))) {
                $near[] = $one;
            }
        }

        return $near === []
            ? ActionDone::refused('no-category', [
                'name' => $name,
                'known' => $known === [] ? '–' : implode(', ', array_slice($known, 0, self::KNOWN)),
            ])
            : ActionDone::refused('no-category-but', ['name' => $name, 'nearest' => implode(', ', $near)]);
    }

    /**
     * @param  list<string>  $before
     * @param  list<string>  $after
     */
    private static function also(array $before, array $after): ?Message
    {
        $more = array_diff($after, $before);
        $less = array_diff($before, $after);
        $data = ['more' => implode(', ', $more), 'less' => implode(', ', $less)];

        return match (true) {
            $more === [] && $less === [] => null,
            $less === [] => new Message('service.tags-more', $data),
            $more === [] => new Message('service.tags-less', $data),
            default => new Message('service.tags-both', $data),
        };
    }

    private static function told(string $value): string
    {
        return str_replace("\n", ', ', $value);
    }

    /** @param  list<string>  $tags */
    private static function haveTags(string $wanted, array $tags): bool
    {
        $all = array_map(Fold::caseless(...), ServiceDetails::lines($wanted));
        $are = array_map(Fold::caseless(...), $tags);
        sort($all);
        sort($are);

        return $all === $are;
    }
}
