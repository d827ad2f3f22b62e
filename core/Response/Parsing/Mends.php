<?php

declare(strict_types=1);

namespace SilverParrot\Response\Parsing;

use SilverParrot\Pack\Pack;
use SilverParrot\Response\Reference\PlainWords;
use SilverParrot\Response\SyntaxErrorCode;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Span;
use SilverParrot\Source\Suggestions;

/**
 * What an author meant, as far as it can be guessed. A mend is offered only where it was tried: with it there are fewer
 * errors, and none of a new kind.
 */
final readonly class Mends
{
    /** Mends that are tried for one text: each is a reading of it. */
    private const MOST = 24;

    /** @param  \Closure(string): list<Finding>  $read  all that is wrong with a text */
    public function __construct(private Pack $pack, private \Closure $read)
    {
    }

    /**
     * @param  list<Finding>  $findings  of the text
     * @return list<Finding>
     */
    public function tried(array $findings, string $text): array
    {
        $codes = self::errors($findings);
        $left = self::MOST;
        foreach ($findings as $place => $finding) {
            [$span, $held] = [$finding->span, null];
            foreach ($span !== null && $finding->isError() ? $this->guesses($finding) : [] as $guess) {
                $after =
                    $left-- > 0
                        ? self::errors(($this->read)(self::mended($text, $span ?? new Span(0, 0), $guess)))
                        : $codes;
                if (count($after) < count($codes) && array_diff($after, $codes) === []) {
                    $held = $guess;
                    break;
                }
            }
            if ($finding->isError() && $held !== $finding->replacement) {
                $findings[$place] = $finding->mendedBy($held, $held === null ? [] : ['nearest' => $held]);
            }
        }

        return $findings;
    }

    /**
     * @return list<string> what was guessed already, and what a name may be short for: “planks” for
     *     “counter.planks”, and what a plain word means: “user” for “caller”
     */
    private function guesses(Finding $finding): array
    {
        $own = $finding->replacement === null ? [] : [$finding->replacement];
        $typed = match ($finding->kind) {
            SyntaxErrorCode::UnknownName => $finding->data['name'] ?? '',
            SyntaxErrorCode::NotASlot => $finding->data['text'] ?? '',
            default => '',
        };
        $exact = $near = [];
        foreach (
            $typed === ''
                ? []
                : [
                    'counter' => $this->pack->counters,
                    'caller' => $this->pack->fields,
                    'fact' => $this->pack->facts,
                    'list' => $this->pack->lists,
                    'occasion' => $this->pack->occasions,
                    'goods' => $this->pack->goods,
                ] as $head => $definitions
        ) {
            $name = Suggestions::to($typed, array_column($definitions, 'name'));
            if ($name !== null && Fold::caseless($name) === Fold::caseless($typed)) {
                $exact[] = "$head.$name";
            } elseif ($name !== null) {
                $near[] = "$head.$name";
            }
        }

        $meant = $typed === '' ? null : PlainWords::meantBy($typed, $this->pack);

        // A plain word may stand for a whole slot, or for its beginning: “random 2 to 5”.
        return [...$exact, ...$own, ...($meant === null ? [] : [$meant, explode(' ', $meant)[0]]), ...$near];
    }

    private static function mended(string $text, Span $span, string $instead): string
    {
        return mb_substr($text, 0, $span->from).$instead.mb_substr($text, $span->to);
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<string> the codes of those that are errors
     */
    private static function errors(array $findings): array
    {
        return array_values(
            array_map(
                static fn (Finding $one): string => $one->kind->code(),
                array_filter($findings, static fn (Finding $one): bool => $one->isError()),
            ),
        );
    }
}
