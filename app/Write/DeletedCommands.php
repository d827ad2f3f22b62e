<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\CommandChange;
use Illuminate\Database\Eloquent\Relations\HasMany;

/** Commands that were deleted and can be restored. */
final class DeletedCommands
{
    public const DAYS = 30;

    /** @return HasMany<CommandChange, Channel> the last one first */
    public static function in(Channel $channel): HasMany
    {
        return $channel
            ->changes()
            ->where('kind', 'dropped')
            ->whereNull('undone_at')
            ->where('created_at', '>', now()->subDays(self::DAYS))
            ->orderByDesc('id');
    }
}
