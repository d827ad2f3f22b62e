<?php

declare(strict_types=1);

namespace App\Accounts;

use Illuminate\Notifications\Messages\MailMessage;
use Illuminate\Notifications\Notification;

/** An invitation's link, sent to whoever the streamer named. */
final class InvitationMail extends Notification
{
    public function __construct(
        private readonly string $channel,
        private readonly string $role,
        private readonly string $link,
    ) {
    }

    /** @return list<string> */
    public function via(): array
    {
        return ['mail'];
    }

    public function toMail(): MailMessage
    {
        return (new MailMessage)->subject("An invitation to {$this->channel}")
            ->line("You are invited to {$this->channel} on Silver Parrot, as {$this->role}.")
            ->action('Look at the invitation', $this->link)
            ->line('The link works once, within seven days.');
    }
}
