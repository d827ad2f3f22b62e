<?php

declare(strict_types=1);

namespace App\Storage\Definitions;

use Illuminate\Http\RedirectResponse;

/** Somebody else has changed it since it was looked at; nothing was overwritten, and what was typed stands again. */
final class ChangedMeanwhile extends \RuntimeException
{
    public const NOTICE = 'Somebody changed this meanwhile, and nothing was overwritten. Look at what is there now, '
        .'and save again.';

    public function __construct(private readonly Definition $kind)
    {
        parent::__construct(self::NOTICE);
    }

    public function render(): RedirectResponse
    {
        return back()->withInput()->withErrors([$this->kind->key() => self::NOTICE]);
    }

    /** It is nobody's fault, and in no log. */
    public function report(): bool
    {
        return true;
    }
}
