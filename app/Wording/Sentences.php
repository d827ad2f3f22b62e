<?php

declare(strict_types=1);

namespace App\Wording;

use Illuminate\Contracts\Translation\Translator;
use SilverParrot\Hearing\CommandSummary;
use SilverParrot\Source\Message;
use SilverParrot\Source\Wording;

/** The words of lang/ for what the core tells by codes and data. */
final readonly class Sentences implements Wording
{
    public function __construct(private Translator $translator)
    {
    }

    public function of(Message $message): string
    {
        $data = array_map(
            fn (int|string|Message $value): int|string => $value instanceof Message ? $this->of($value) : $value,
            $message->data,
        );
        $said = isset($data['count'])
            ? $this->translator->choice($message->key, (int) $data['count'], $data)
            : $this->translator->get($message->key, $data);

        return is_string($said) ? $said : $message->key;
    }

    /** “Moderators and up, every 5 s, changes counter.planks.” */
    public function summary(CommandSummary $of): string
    {
        $parts = array_map($this->of(...), $of->parts);
        if (! $of->isListed) {
            $parts[] = $this->of(new Message('summary.unlisted'));
        }
        $sentence = ucfirst(implode($this->of(new Message('summary.comma')), $parts)).'.';

        return $of->isOn ? $sentence : $this->of(new Message('summary.switched-off')).' '.$sentence;
    }
}
