<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary\Names;

use SilverParrot\Response\Syntax\Call;
use SilverParrot\Response\SyntaxErrorCode;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Suggestions;

/** What several names look for in the way they are written. */
final class Checking
{
    /** What is called otherwise than its name in a response. */
    private const CALLED = ['lookup' => 'look-up'];

    private const KINDS = ['counter', 'fact', 'list', 'occasion', 'goods', 'lookup'];

    /** @return list<Finding> */
    public static function takesNothing(Call $call): array
    {
        return $call->isPlain()
            ? []
            : [
                new Finding(
                    SyntaxErrorCode::TakesNothing,
                    $call->span(),
                    data: ['name' => implode('.', $call->path)],
                    replacement: implode('.', $call->path),
                ),
            ];
    }

    /**
     * @param  int  $at  which part of the path is not known
     * @param  list<string>  $known
     */
    public static function unknownPart(Call $call, int $at, array $known): Finding
    {
        $path = $call->path;
        $nearest = Suggestions::to($path[$at], $known);

        return new Finding(
            SyntaxErrorCode::UnknownPart,
            $call->span(),
            data: ['of' => self::kind($call, $at), 'name' => $path[$at]]
                + ($nearest === null ? [] : ['nearest' => implode('.', [...array_slice($path, 0, $at), $nearest])]),
            replacement: $nearest === null || ! $call->isPlain()
                ? null
                : implode('.', [...array_slice($path, 0, $at), $nearest, ...array_slice($path, $at + 1)]),
        );
    }

    /** What a part would be: a counter, or a detail of what stands before it. */
    private static function kind(Call $call, int $at): string
    {
        return $at === 1 && in_array($call->folded[0], self::KINDS, true)
            ? self::CALLED[$call->folded[0]] ?? $call->folded[0]
            : implode('.', array_slice($call->path, 0, $at)).' detail';
    }

    public static function partExpected(Call $call, string $example): Finding
    {
        return new Finding(
            SyntaxErrorCode::PartExpected,
            $call->span(),
            data: ['name' => $call->path[0], 'example' => $example],
        );
    }
}
