<?php

declare(strict_types=1);

namespace App\Remember\Moving;

use App\Models\Channel;
use Illuminate\Contracts\Cache\Repository;

/** How far the bringing of a memory is, for whoever waits for it, and whether it is to stop. */
final readonly class MovingProgress
{
    /** What is over is told for so long, in seconds. */
    private const TOLD = 600;

    public function __construct(private Repository $cache)
    {
    }

    public function begin(Channel $channel, int $lines): void
    {
        $this->cache->forget(self::key($channel, 'stop'));
        $this->put($channel, ['kept' => 0, 'lines' => $lines, 'isOver' => false, 'failed' => false]);
    }

    /** @return bool whether it goes on */
    public function goOn(Channel $channel, int $kept): bool
    {
        $this->put($channel, ['kept' => $kept] + ($this->of($channel) ?? self::none()));

        return ! $this->cache->has(self::key($channel, 'stop'));
    }

    /** @param  int|null  $kept  null where it failed */
    public function end(Channel $channel, ?int $kept): void
    {
        $was = $this->of($channel) ?? self::none();
        $this->put($channel, ['kept' => $kept ?? $was['kept'], 'isOver' => true, 'failed' => $kept === null] + $was);
    }

    public function stop(Channel $channel): void
    {
        $this->cache->put(self::key($channel, 'stop'), true, self::TOLD);
    }

    /** @return array{kept: int, lines: int, isOver: bool, failed: bool}|null null where nothing is on its way */
    public function of(Channel $channel): ?array
    {
        /** @var array{kept: int, lines: int, isOver: bool, failed: bool}|null $told */
        $told = $this->cache->get(self::key($channel, 'at'));

        return is_array($told) ? $told : null;
    }

    /** @param  array{kept: int, lines: int, isOver: bool, failed: bool}  $told */
    private function put(Channel $channel, array $told): void
    {
        $this->cache->put(self::key($channel, 'at'), $told, self::TOLD);
    }

    /** @return array{kept: int, lines: int, isOver: bool, failed: bool} */
    private static function none(): array
    {
        return ['kept' => 0, 'lines' => 0, 'isOver' => false, 'failed' => false];
    }

    private static function key(Channel $channel, string $what): string
    {
        return "moving {$channel->id} $what";
    }
}
