<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Connection;
use Illuminate\Support\Str;

/** Where somebody is signed in. */
final readonly class Sessions
{
    private const MOST = 50;

    public function __construct(private Connection $connection)
    {
    }

    /** @return list<array{address: string, browser: string, used: CarbonImmutable, isThis: bool}> this one first */
    public function of(User $user, string $own): array
    {
        /** @var list<object{id: string, ip_address: string|null, user_agent: string|null, last_activity: int}> $rows */
        $rows = $this->connection
            ->table('sessions')
            ->where('user_id', $user->id)
            ->orderByDesc('last_activity')
            ->limit(self::MOST)
            ->get(['id', 'ip_address', 'user_agent', 'last_activity'])
            ->all();
        $sessions = array_map(static fn (object $row): array => [
            'address' => $row->ip_address ?? '',
            'browser' => $row->user_agent ?? '',
            'used' => CarbonImmutable::createFromTimestamp($row->last_activity),
            'isThis' => $row->id === $own,
        ], $rows);
        usort($sessions, static fn (array $a, array $b): int => $b['isThis'] <=> $a['isThis']);

        return $sessions;
    }

    /** All but one; nor does a browser that was to stay signed in come back by itself. */
    public function endOthers(User $user, string $own): void
    {
        $this->connection->table('sessions')->where('user_id', $user->id)->where('id', '!=', $own)->delete();
        $user->forceFill(['remember_token' => Str::random(60)])->save();
    }
}
