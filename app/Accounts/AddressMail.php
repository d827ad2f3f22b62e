<?php

declare(strict_types=1);

namespace App\Accounts;

use Illuminate\Notifications\Messages\MailMessage;
use Illuminate\Notifications\Notification;

/** Sent to a new address: whoever reads it there confirms it. */
final class AddressMail extends Notification
{
    public function __construct(private readonly string $link)
    {
    }

    /** @return list<string> */
    public function via(): array
    {
        return ['mail'];
    }

    public function toMail(): MailMessage
    {
        return (new MailMessage)->subject('Confirm your email address')
            ->line('Somebody, probably you, wants to use this address for an account on Silver Parrot.')
            ->action('Use this address', $this->link)
            ->line('The link works for an hour. If it was not you, do nothing.');
    }
}
