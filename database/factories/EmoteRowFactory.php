<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\EmoteRow;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Str;
use SilverParrot\Pack\LevelRule;

/**
 * An emote for everyone, without a picture.
 *
 * @extends Factory<EmoteRow>
 */
final class EmoteRowFactory extends Factory
{
    protected $model = EmoteRow::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'channel_id' => ChannelFactory::new(),
            'word' => 'cove'.Str::random(8),
            'stable_id' => static fn (array $of): mixed => $of['word'],
            'picture' => '',
            'levels' => new LevelRule,
        ];
    }
}
