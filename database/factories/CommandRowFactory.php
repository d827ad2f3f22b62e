<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\CommandResponseRow;
use App\Models\CommandRow;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Support\Str;
use SilverParrot\Chat\Place;
use SilverParrot\Chat\Voice;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Source\Fold;

/**
 * A command with gates as a new one has them. saying() gives it something to say.
 *
 * @extends Factory<CommandRow>
 */
final class CommandRowFactory extends Factory
{
    protected $model = CommandRow::class;

    /** @return array<string, mixed> */
    public function definition(): array
    {
        return [
            'channel_id' => ChannelFactory::new(),
            'trigger' => '!'.Str::lower(Str::random(8)),
            'trigger_folded' => static fn (array $of): string => Fold::caseless(
                is_string($of['trigger']) ? $of['trigger'] : '',
            ),
            'stable_id' => static fn (array $of): mixed => $of['trigger_folded'],
            'gates' => Say::on('!', '')->gates,
            'refusals' => [],
            'if_it_fails' => '',
            'listed' => true,
            'group' => '',
            'note' => '',
            'voice' => Voice::Parrot,
            'place' => Place::Chat,
            'findable' => static fn (array $of): mixed => $of['trigger_folded'],
            'revision' => 1,
        ];
    }

    public function saying(string ...$texts): self
    {
        return $this->afterCreating(static function (CommandRow $row) use ($texts): void {
            foreach (array_values($texts) as $position => $text) {
                CommandResponseRow::query()->create([
                    'channel_id' => $row->channel_id,
                    'command_id' => $row->id,
                    'stable_id' => (string) $position,
                    'position' => $position,
                    'steps' => [new Say($text)],
                    'weight' => 1,
                ]);
            }
        });
    }
}
