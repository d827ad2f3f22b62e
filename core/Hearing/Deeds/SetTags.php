<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Deeds;

use SilverParrot\Actions\ActionDone;
use SilverParrot\Hearing\Service\ServiceField;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;

/** The stream gets other tags, in place of those that it has. */
final class SetTags extends ServiceDeed
{
    public static function key(): string
    {
        return 'set tags';
    }

    public function inputs(): array
    {
        return ['tags' => '[words]'];
    }

    protected function field(): ServiceField
    {
        return ServiceField::Tags;
    }

    protected function value(array $with): string
    {
        return implode("\n", self::tags($with['tags']));
    }

    protected function refusal(array $with): ?ActionDone
    {
        $tags = self::tags($with['tags']);
        $long = array_filter($tags, static fn (string $tag): bool => mb_strlen($tag) > Limits::TAG);

        return match (true) {
            $tags === [] => ActionDone::refused('no-text'),
            count($tags) > Limits::TAGS => ActionDone::refused('too-many-tags', ['most' => Limits::TAGS]),
            $long !== [] => ActionDone::refused('tag-too-long', [
                'name' => DeedScene::short(current($long)),
                'most' => Limits::TAG,
            ]),
            default => null,
        };
    }

    /** @return list<string> each once; commas, spaces and number signs only part them */
    private static function tags(string $typed): array
    {
        $tags = preg_split('/[\s,#]+/u', $typed, -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $once = [];
        foreach ($tags as $tag) {
            $once[Fold::caseless($tag)] ??= $tag;
        }

        return array_values($once);
    }
}
