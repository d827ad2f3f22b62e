<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd;

use SilverParrot\Chat\HappeningKind;
use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;
use SilverParrot\Source\Finding;

/** A crowd as a document: docs/formats/crowd.schema.json. What it does not say is as in a busy evening. */
final class CrowdFormat
{
    public const FORMAT = 'silver-parrot-crowd';

    private const FASTEST = 10_000;

    private const LEVELS = ['follower', 'subscriber', 'vip', 'moderator'];

    /** @return array{CrowdDescription, list<Finding>} */
    public static function read(string $text): array
    {
        $document = Document::parse($text);
        if (is_array($document)) {
            return [CrowdPreset::Busy->description(), $document];
        }
        $document
            ->object([
                'format',
                'version',
                'people',
                'minutes',
                'lines',
                'busiest_tenth',
                'stays',
                'levels',
                'habits',
                'phases',
                'happenings',
            ])
            ->format(self::FORMAT, 'Silver Parrot crowd');
        $usual = CrowdPreset::Busy->description();
        $whole = static fn (string $key, int $least, int $most, int $otherwise): int => $document->has($key)
            ? $document->at($key)->whole($least, $most)
            : $otherwise;

        return [new CrowdDescription(
            $whole('people', 1, CrowdDescription::MOST_PEOPLE, $usual->people),
            $whole('minutes', 1, CrowdDescription::LONGEST_MINUTES, $usual->minutes),
            $whole('lines', 1, CrowdDescription::MOST_LINES, $usual->lines),
            $whole('busiest_tenth', 10, 99, $usual->busiestTenth),
            $whole('stays', 0, CrowdDescription::LONGEST_MINUTES, $usual->stays),
            $document->has('levels') ? self::shares($document->at('levels'), self::LEVELS) : $usual->levels,
            $document->has('habits')
                ? self::shares($document->at('habits'), array_keys(Habits::all()))
                : $usual->habits,
            $document->has('phases')
                ? array_map(self::phase(...), $document->at('phases')->items(CrowdDescription::MOST))
                : [],
            $document->has('happenings')
                ? array_map(self::happening(...), $document->at('happenings')->items(CrowdDescription::MOST))
                : [],
        ), $document->findings()];
    }

    /** @return array<string, mixed> */
    public static function write(CrowdDescription $crowd): array
    {
        return [
            'format' => self::FORMAT,
            'version' => 1,
            'people' => $crowd->people,
            'minutes' => $crowd->minutes,
            'lines' => $crowd->lines,
            'busiest_tenth' => $crowd->busiestTenth,
            'stays' => $crowd->stays,
            'levels' => (object) $crowd->levels,
            'habits' => (object) $crowd->habits,
            'phases' => array_map(static fn (CrowdPhase $phase): array => [
                'from' => $phase->from,
                'to' => $phase->to,
                'pace' => $phase->pace,
            ], $crowd->phases),
            'happenings' => array_map(static fn (CrowdHappening $one): array => ['at' => $one->minute] + match (
                $one->kind
            ) {
                HappeningKind::Category => [$one->kind->value => $one->text],
                HappeningKind::Raid, HappeningKind::Follow => [$one->kind->value => $one->count],
                default => [$one->kind->value => true],
            }, $crowd->happenings),
        ];
    }

    /**
     * @param  list<string>  $known
     * @return array<string, int> percent
     */
    private static function shares(Document $shares, array $known): array
    {
        $read = [];
        foreach ($shares->object($known)->each() as $key => $share) {
            $read[(string) $key] = $share->whole(0, 100);
        }

        return $read;
    }

    private static function phase(Document $phase): CrowdPhase
    {
        $phase->object(['from', 'to', 'pace'], ['from', 'to', 'pace']);
        $from = $phase->at('from')->whole(0, CrowdDescription::LONGEST_MINUTES);

        return new CrowdPhase(
            $from,
            $phase->at('to')->whole($from, CrowdDescription::LONGEST_MINUTES),
            $phase->at('pace')->whole(0, self::FASTEST),
        );
    }

    private static function happening(Document $happening): CrowdHappening
    {
        $kinds = array_map(static fn (HappeningKind $kind): string => $kind->value, HappeningKind::ofCrowds());
        $happening->object(['at', ...$kinds], ['at']);
        $minute = $happening->has('at') ? $happening->at('at')->whole(0, CrowdDescription::LONGEST_MINUTES) : 0;
        foreach (HappeningKind::ofCrowds() as $kind) {
            if (! $happening->has($kind->value)) {
                continue;
            }
            $value = $happening->at($kind->value);

            return match ($kind) {
                HappeningKind::Category => new CrowdHappening($minute, $kind, text: $value->text(100)),
                HappeningKind::Raid, HappeningKind::Follow => new CrowdHappening(
                    $minute,
                    $kind,
                    $value->whole(1, CrowdDescription::LARGEST_RAID),
                ),
                default => new CrowdHappening($minute, $kind, $value->flag() ? 1 : 0),
            };
        }
        $happening->flaw(DocumentError::NotOneOf, ['value' => 'nothing', 'known' => implode(', ', $kinds)]);

        return new CrowdHappening($minute, HappeningKind::Follow);
    }
}
