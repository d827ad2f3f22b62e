<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Chat\Level;
use SilverParrot\Document\Document;
use SilverParrot\Document\LevelFormat;
use SilverParrot\Pack\CastMember;
use SilverParrot\Source\Limits;

/** {"login": "tamsin", "name": "Tamsin", "levels": ["subscriber"], "record": {"pebbles": "40"}} */
final class CastFormat
{
    public static function read(Document $member): CastMember
    {
        $member->object(
            ['login', 'name', 'levels', 'tier', 'habits', 'record', ...CastMember::DETAILS],
            ['login', 'name'],
        );

        return new CastMember(
            $member->at('login')->text(60),
            $member->at('name')->text(60),
            $member->has('levels') ? LevelFormat::readAll($member->at('levels')) : [],
            $member->has('tier') ? $member->at('tier')->whole(0, 3) : 0,
            $member->has('habits') ? $member->at('habits')->text(300) : '',
            $member->has('record')
                ? array_map(
                    static fn (Document $value): string => $value->text(Limits::FIELD_TEXT),
                    $member->at('record')->entriesOfNames(),
                )
                : [],
            self::details($member),
        );
    }

    /** @return array<string, string> */
    private static function details(Document $member): array
    {
        $details = [];
        foreach (CastMember::DETAILS as $name) {
            if ($member->has($name)) {
                $details[$name] = $name === 'followed'
                    ? $member->at($name)->moment()->iso()
                    : $member->at($name)->text(Limits::FIELD_TEXT);
            }
        }

        return array_filter($details, static fn (string $value): bool => $value !== '');
    }

    /** @return array<string, mixed> */
    public static function write(CastMember $member): array
    {
        return ['login' => $member->login, 'name' => $member->name] + array_filter([
            'levels' => array_map(static fn (Level $level): string => $level->word(), $member->levels),
            'tier' => $member->tier,
            'habits' => $member->habits,
            'record' => $member->record,
        ] + $member->details, static fn (array|int|string $value): bool => ! in_array($value, [[], 0, ''], true));
    }
}
