<?php

declare(strict_types=1);

namespace SilverParrot\Checks;

use SilverParrot\Source\Finding;
use SilverParrot\Source\FindingKind;
use SilverParrot\Source\Severity;
use Throwable;

/** What is said in place of a check that broke off: a fault of ours, which hinders nobody. */
final readonly class NotLookedAt implements FindingKind
{
    public static function by(Check $check, Throwable $thrown): Finding
    {
        return new Finding(new self, null, '', [
            'check' => $check instanceof FindingKind ? $check->code() : $check::class,
            'where' => basename($thrown->getFile()).':'.$thrown->getLine(),
        ]);
    }

    public function code(): string
    {
        return 'not-looked-at';
    }

    public function severity(): Severity
    {
        return Severity::Note;
    }

    public function sentence(): string
    {
        return 'The check “{check}” could not be done ({where}); all others were.';
    }

    public function mend(): string
    {
        return 'Nothing need be done; please report it.';
    }
}
