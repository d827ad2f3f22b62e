<?php

declare(strict_types=1);

namespace App\Rehearse\Scripts;

use SilverParrot\Chat\Happening;
use SilverParrot\Figures\MarkKind;
use SilverParrot\Rehearsal\ChatFile;
use SilverParrot\Rehearsal\Scripts\ScriptPart;
use SilverParrot\Rehearsal\Scripts\ScriptResult;
use SilverParrot\Rehearsal\TimedLine;

/** A script in one row: each of its moments at its time, by what came of it, and which of them do not hold. */
final class ScriptPicture
{
    public const WIDTH = 600;

    public const HEIGHT = 40;

    /** Room for half a mark at either end. */
    private const EDGE = 12;

    /** Marks that are told apart. */
    private const MOST = 400;

    /**
     * @return list<array{part: int, x: float, kind: MarkKind, label: string, holds: bool}> in the order of the script;
     *     none where there is no order to see
     */
    public static function of(ScriptResult $result): array
    {
        $parts = $result->script->parts;
        if (count($parts) < 2 || count($parts) > self::MOST) {
            return [];
        }
        $length = $result->script->length();
        $unmet = [];
        foreach ($result->checked as $one) {
            $unmet[$one->part ?? -1] = ($unmet[$one->part ?? -1] ?? false) || ! $one->holds();
        }
        $marks = [];
        foreach ($parts as $place => $part) {
            // Where all is at one moment, one stands behind the other.
            $share = $length > 0 ? $part->millis / $length : $place / (count($parts) - 1);
            $kind = self::kind($result, $place, $part);
            $marks[] = [
                'part' => $place,
                'x' => round(self::EDGE + $share * (self::WIDTH - 2 * self::EDGE), 1),
                'kind' => $kind,
                'label' => ChatFile::time(intdiv($part->millis, 1000)).' '.self::words($part)
                    .': '.$kind->label().(($unmet[$place] ?? false) ? ', not as expected' : ''),
                'holds' => ! ($unmet[$place] ?? false),
            ];
        }

        return $marks;
    }

    private static function words(ScriptPart $part): string
    {
        return $part->what instanceof TimedLine
            ? "{$part->what->by}, {$part->what->text}"
            : $part->what->inWords();
    }

    private static function kind(ScriptResult $result, int $place, ScriptPart $part): MarkKind
    {
        $heard = $result->of($place);

        return match (true) {
            $result->said($place) !== [] => MarkKind::Said,
            $part->what instanceof Happening => MarkKind::Happened,
            array_filter($heard, static fn ($one): bool => $one->outcome->closed !== null) !== [] => MarkKind::HeldBack,
            array_filter($heard, static fn ($one): bool => $one->outcome->failed !== null) !== [] => MarkKind::Failed,
            default => MarkKind::Nothing,
        };
    }
}
