<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Response\Reference\PlainWords;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Severity;
use SilverParrot\Source\Span;

/**
 * A word in the brackets of some other template: {name}, ${name}, $(name), {{name}}, %name%, <name>. Told by the
 * general form alone. Silent on signs of prose: percentages, “<3”, bytes in an address (%20).
 */
final readonly class ForeignSlot extends AbstractCheck
{
    /** A word, and what may follow it inside. */
    private const INSIDE = '\s{0,3}+([\p{L}_][\p{L}\p{N}_.-]{0,30}+|\d{1,2}+)[^{}()<>%\[\]]{0,60}+';

    private const FORMS = [
        '/\{\{'.self::INSIDE.'\}\}/u',
        '/\$?\{'.self::INSIDE.'\}/u',
        '/\$\('.self::INSIDE.'\)/u',
        '/%(?![0-9A-Fa-f]{2}%)([\p{L}_][\p{L}\p{N}_]{1,30})%/u',
        '/<([\p{L}_][\p{L}\p{N}_]{0,30})(?: [\p{L}_]{1,20})?>/u',
    ];

    public function code(): string
    {
        return 'foreign-slot';
    }

    public function severity(): Severity
    {
        return Severity::Warning;
    }

    public function sentence(): string
    {
        return '“{text}” is said as it stands: here slots have square brackets.';
    }

    public function mend(): string
    {
        return 'Write {instead}.';
    }

    public function reason(): string
    {
        return 'It is how another template writes what is to be filled in.';
    }

    public function look(CheckContext $at): array
    {
        $findings = [];
        foreach ($at->texts as $text) {
            foreach ($text->literals() as [$literal, $from]) {
                foreach (self::in($literal) as $offset => [$written, $word]) {
                    // “user.name” is a “user” with something behind it.
                    $meant = PlainWords::meantBy($word, $at->pack)
                        ?? PlainWords::meantBy(explode('.', $word)[0], $at->pack);
                    $start = $from + mb_strlen(substr($literal, 0, $offset));
                    $findings[] = new Finding(
                        $this,
                        new Span($start, $start + mb_strlen($written)),
                        $text->at,
                        ['text' => $written] + ($meant === null ? [] : ['instead' => "[$meant]"]),
                        $meant === null ? null : "[$meant]",
                    );
                }
            }
        }

        return $findings;
    }

    /** @return array<int, array{string, string}> what is written and the word in it, by where it begins, in bytes */
    private static function in(string $literal): array
    {
        $found = [];
        foreach (self::FORMS as $form) {
            preg_match_all($form, $literal, $matches, PREG_SET_ORDER | PREG_OFFSET_CAPTURE);
            foreach ($matches as [$whole, $word]) {
                $isInside = array_filter(
                    array_keys($found),
                    static fn (int $at): bool => $whole[1] > $at && $whole[1] < $at + strlen($found[$at][0]),
                ) !== [];
                if (! $isInside) {
                    $found[$whole[1]] ??= [$whole[0], $word[0]];
                }
            }
        }
        ksort($found);

        return $found;
    }
}
