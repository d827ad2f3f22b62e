<?php

declare(strict_types=1);

namespace App\Publish;

use App\Models\Channel;
use App\Models\HandedSaying;
use Illuminate\Database\Eloquent\Relations\HasMany;

/** How often each command has answered in the last seven days, and what it said last. */
final readonly class SaidThisWeek
{
    private const DAYS = 7;

    private function __construct(public int $times, public string $last)
    {
    }

    /** @return array<string, self> by the command's id; nothing for those that said nothing */
    public static function in(Channel $channel): array
    {
        /** @var array<string, array{command: string, times: int, newest: int}> $counted */
        $counted = self::answers($channel)
            ->selectRaw('command, COUNT(*) AS times, MAX(id) AS newest')
            ->toBase()
            ->get()
            ->map(static fn (object $row): array => (array) $row)
            ->keyBy('command')
            ->all();
        /** @var array<int, string> $texts */
        $texts = $channel->sayings()->whereKey(array_column($counted, 'newest'))->pluck('text', 'id')->all();

        return array_map(
            static fn (array $one): self => new self($one['times'], $texts[$one['newest']] ?? ''),
            $counted,
        );
    }

    /** @return HasMany<HandedSaying, Channel> answers of the last seven days, by command */
    public static function answers(Channel $channel): HasMany
    {
        return $channel
            ->sayings()
            ->where('state', 'handed')
            ->where('position', 0)
            ->where('command', '!=', '')
            ->where('handed_at', '>', now('UTC')->subDays(self::DAYS))
            ->groupBy('command');
    }
}
