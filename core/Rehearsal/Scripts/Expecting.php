<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts;

use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;

/** All that a script can expect. */
final class Expecting
{
    /** Of one line. */
    private const MOST = 30;

    /** @var list<class-string<Expects>> */
    private const ALL = [
        Expecting\Says::class,
        Expecting\Contains::class,
        Expecting\Matches::class,
        Expecting\OneOf::class,
        Expecting\SaysNothing::class,
        Expecting\Within::class,
        Expecting\Where::class,
        Expecting\Remembers::class,
        Expecting\Changes::class,
        Expecting\Asks::class,
        Expecting\AtMost::class,
        Expecting\Share::class,
    ];

    /** @return list<Expects> of one line, or of all of them */
    public static function read(Document $list, bool $isOfAll): array
    {
        $expected = [];
        foreach ($list->items(self::MOST) as $item) {
            foreach ($item->each() as $key => $value) {
                $kind = self::kind((string) $key, $isOfAll);
                if ($kind === null) {
                    $value->flaw(DocumentError::NotOneOf, [
                        'value' => (string) $key,
                        'known' => implode(', ', self::keys($isOfAll)),
                    ]);

                    continue;
                }
                $expected[] = $kind::read($value);
            }
        }

        return $expected;
    }

    /** @return list<string> */
    public static function keys(bool $isOfAll): array
    {
        $keys = [];
        foreach (self::ALL as $kind) {
            if (! $isOfAll || self::canBeOfAll($kind)) {
                $keys[] = $kind::key();
            }
        }

        return $keys;
    }

    /** @return class-string<Expects>|null */
    private static function kind(string $key, bool $isOfAll): ?string
    {
        foreach (self::ALL as $kind) {
            if ($kind::key() === $key && (! $isOfAll || self::canBeOfAll($kind)) && ($isOfAll || ! $kind::isOfAll())) {
                return $kind;
            }
        }

        return null;
    }

    /** @param  class-string<Expects>  $kind */
    private static function canBeOfAll(string $kind): bool
    {
        return $kind::isOfAll() || in_array($kind, [
            Expecting\Remembers::class,
            Expecting\Changes::class,
            Expecting\Asks::class,
        ], true);
    }
}
