<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\Channel;
use App\Models\User;

/** The way to a first command that answers, step by step. */
enum FirstStep: string
{
    case Write = 'write';
    case Try = 'try';
    case Save = 'save';
    case Publish = 'publish';
    case SeeIt = 'see';

    /** Kept with the steps, for whoever wants to see them no more. */
    private const DISMISSED = 'dismissed';

    public function label(): string
    {
        return match ($this) {
            self::Write => 'write a command',
            self::Try => 'try it in the chat beside',
            self::Save => 'save it',
            self::Publish => 'publish it',
            self::SeeIt => 'see it answered in the real chat',
        };
    }

    public function address(Channel $channel): string
    {
        return match ($this) {
            self::Write, self::Try, self::Save => route('write.new', $channel),
            self::Publish => route('publish', $channel),
            self::SeeIt => route('publish.chat', $channel),
        };
    }

    public function take(User $user): void
    {
        self::keep($user, $this->value);
    }

    public function isTaken(User $user): bool
    {
        return in_array($this->value, $user->first_steps, true);
    }

    public static function dismiss(User $user): void
    {
        self::keep($user, self::DISMISSED);
    }

    /** Until all are taken, or nobody wants to see them. */
    public static function areShown(User $user): bool
    {
        return ! in_array(self::DISMISSED, $user->first_steps, true)
            && array_filter(self::cases(), static fn (self $step): bool => ! $step->isTaken($user)) !== [];
    }

    private static function keep(User $user, string $step): void
    {
        if (! in_array($step, $user->first_steps, true)) {
            $user->forceFill(['first_steps' => [...$user->first_steps, $step]])->save();
        }
    }
}
