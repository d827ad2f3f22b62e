<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

/** Numbers that the service gives a person. */
enum NumberOfPerson: string
{
    /** Of their subscription: 1 to 3, and 0 without one. */
    case Tier = 'tier';

    /** Days since they followed. */
    case FollowedDays = 'followed_days';

    /** Days since they subscribed. */
    case SubscribedDays = 'subscribed_days';

    /** Days since their account was made. */
    case AccountDays = 'account_days';

    /** The detail of a person that it is reckoned from; null where it comes with every line. */
    public function detail(): ?string
    {
        return match ($this) {
            self::Tier => null,
            self::FollowedDays => 'followed',
            self::SubscribedDays => 'subscribed',
            self::AccountDays => 'account_made',
        };
    }

    /** In the keys of messages. */
    public function key(): string
    {
        return str_replace('_', '-', $this->value);
    }

    public function label(): string
    {
        return match ($this) {
            self::Tier => 'subscription tier',
            self::FollowedDays => 'days followed',
            self::SubscribedDays => 'days subscribed',
            self::AccountDays => 'days since the account was made',
        };
    }
}
