<?php

declare(strict_types=1);

namespace SilverParrot\Figures;

use SilverParrot\Source\Wording;

/** An evening as a report for machines, the same to the byte for the same evening: docs/formats/rehearsal. */
final class EveningReport
{
    public const FORMAT = 'silver-parrot-rehearsal';

    public const VERSION = 2;

    private const SHARE_DIGITS = 4;

    /** Lines that set something off, in full. */
    private const MARKS = 20_000;

    /**
     * The figures alone.
     *
     * @return array<string, mixed>
     */
    public static function figures(Evening $evening): array
    {
        [$middle, $most] = $evening->sayingsAMinute();
        $waits = $evening->outbox->waits;
        sort($waits);

        return [
            'lines' => $evening->lines,
            'said' => $evening->said,
            'closed' => (object) $evening->closed,
            'failed' => $evening->failed,
            'share' => round($evening->share(), self::SHARE_DIGITS),
            'minutes' => intdiv($evening->length, 60_000),
            'sayings_a_minute' => ['middle' => $middle, 'most' => $most],
            'outbox' => [
                'waited' => count($waits),
                'longest_wait' => $waits === [] ? 0 : $waits[count($waits) - 1],
                'dropped' => $evening->outbox->dropped,
            ],
            'replies' => [
                'cut' => $evening->cut,
                'nothing' => $evening->empty,
                'same_as_before' => $evening->same,
                'long' => $evening->long,
            ],
            'commands' => array_map(
                static fn (Lane $lane): array => $lane->toArray(),
                array_values(array_filter(
                    $evening->lanes,
                    static fn (Lane $lane): bool => $lane->kind !== LaneKind::Happening,
                )),
            ),
            'draws' => array_map(static fn (ListDraws $list): array => [
                'list' => $list->name,
                'total' => $list->total,
                'chance' => $list->chance === null ? null : round($list->chance, self::SHARE_DIGITS),
                'items' => array_map(static fn (array $item): array => [
                    'text' => $item[0],
                    'came' => $item[1],
                    'expected' => round($item[2], 2),
                ], $list->items),
            ], $evening->draws()),
            'memory' => array_map(
                static fn (string $what, array $values): array => [
                    'what' => $what,
                    'from' => $values[0],
                    'to' => $values[1],
                ],
                array_keys($evening->changed),
                $evening->changed,
            ),
        ];
    }

    /** @param  array<string, mixed>  $report */
    public static function written(array $report): string
    {
        return json_encode(
            $report,
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT,
        )."\n";
    }

    /**
     * Those that are told where nobody wants all of them.
     *
     * @param  array<string, mixed>  $figures
     * @return array<string, mixed>
     */
    public static function short(array $figures): array
    {
        return array_intersect_key($figures, array_flip([
            'lines',
            'said',
            'closed',
            'failed',
            'share',
            'commands',
            'expectations',
        ]));
    }

    /** @return array<string, mixed> with each moment at which the pack had something to do */
    public static function of(Evening $evening, Wording $wording): array
    {
        return ['format' => self::FORMAT, 'version' => self::VERSION] + self::figures($evening) + [
            'moments' => array_map(
                static fn (Mark $mark): array => self::moment($mark, $wording),
                array_slice($evening->marks, 0, self::MARKS),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function moment(Mark $mark, Wording $wording): array
    {
        return [
            'at' => $mark->millis,
            'what' => $mark->lane,
            'by' => $mark->by,
            'text' => $mark->text,
            'kind' => $mark->kind->value,
            'said' => $mark->said,
        ] + ($mark->why === null ? [] : ['because' => $mark->gate, 'why' => $wording->of($mark->why)]);
    }
}
