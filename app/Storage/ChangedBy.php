<?php

declare(strict_types=1);

namespace App\Storage;

use App\Models\User;
use App\Models\Viewer;

/** Who changed a definition, as its history keeps it: a user on a screen, or somebody in the chat. */
final class ChangedBy
{
    /** @return array{user_id: int|null, by_viewer_id: int} */
    public static function columns(User|Viewer $by): array
    {
        return [
            'user_id' => $by instanceof User ? $by->id : null,
            'by_viewer_id' => $by instanceof Viewer ? $by->id : 0,
        ];
    }
}
