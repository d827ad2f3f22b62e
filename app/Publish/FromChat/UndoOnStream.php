<?php

declare(strict_types=1);

namespace App\Publish\FromChat;

use Amp\TimeoutCancellation;
use App\Air\AirSettings;
use App\Models\Channel;
use App\Models\EffectRow;
use Illuminate\Contracts\Config\Repository;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Hearing\Service\ServiceChange;
use SilverParrot\Hearing\Service\ServiceField;
use SilverParrot\Source\Message;
use SilverParrot\Source\Wording;

/** Title, category and tags are set back at the streaming service, as far as nothing has changed them since. */
final readonly class UndoOnStream
{
    private const SECONDS = 5.0;

    public function __construct(private Repository $config, private Wording $wording)
    {
    }

    /** @return string what to tell of it */
    public function undo(Channel $channel, EffectRow $effect): string
    {
        $field = ServiceField::tryFrom($effect->subject);
        // As it is told, which for tags is a list.
        $value = static function (?array $told) use ($field): string {
            $text = is_string($told[$field->value ?? ''] ?? null) ? $told[$field->value ?? ''] : '';

            return $field === ServiceField::Tags ? str_replace(', ', "\n", $text) : $text;
        };
        if (
            $field === null
            || $effect->before === null
            || $effect->state !== EffectState::Done
            || $effect->undone_at !== null
            || $channel->chat_server !== null
        ) {
            return 'That cannot be taken back here.';
        }
        $service = AirSettings::of($this->config)->service;
        $within = new TimeoutCancellation(self::SECONDS);
        $now = $service->value($channel->login, $field, $within);
        if ($now !== null && $now !== $value($effect->after)) {
            return 'It was changed again since, so it stays; change it by hand.';
        }
        $by = Person::known('', 'author', 'Author', Levels::of());
        $change = new ServiceChange($effect->deed, $field, $value($effect->before), $by);
        $done = $service->change($channel->login, $change, $within);
        $reason = $done->outcome['reason'] ?? null;
        if (! $done->isDone) {
            return $reason instanceof Message ? $this->wording->of($reason) : '';
        }
        $effect->update(['undone_at' => now(), 'seen_at' => now()]);

        return 'Taken back: the stream has it as before.';
    }
}
