<?php

declare(strict_types=1);

namespace App\Web;

use Illuminate\Database\Connection;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\HttpDate;
use SilverParrot\Lookup\Trouble;
use SilverParrot\Value\Moment;

/** Who may be asked, how often, and who is left alone for a while since it failed. */
final readonly class Hosts
{
    /** Requests to one host within a minute. */
    public const A_MINUTE = 10;

    /** Failures in a row after which it is left alone. */
    private const FAILURES = 3;

    /** Seconds; each failure after that doubles them. */
    private const RESTS = 30;

    private const RESTS_AT_MOST = 600;

    /** As long as a source may ask to be left alone. */
    private const RESTS_AS_TOLD = 86_400;

    public function __construct(private Connection $connection)
    {
    }

    /** @return list<string> with the port, where it is not the web's own */
    public function allowed(int $channel): array
    {
        $hosts = $this->connection->table('allowed_hosts')->where('channel_id', $channel)->pluck('host')->all();

        return array_values(array_filter($hosts, is_string(...)));
    }

    /** Counts it, where it may be asked now. */
    public function take(int $channel, string $host, Moment $now): ?Trouble
    {
        $at = self::time($now);
        $this->connection->insert(
            "INSERT IGNORE INTO web_hosts (channel_id, host, counted_from, last) VALUES (?, ?, ?, '{}')",
            [$channel, $host, $at],
        );
        /** @var object{counted_from: string, times: int, rests_until: string|null} $row */
        $row = $this->connection->selectOne(
            'SELECT counted_from, times, rests_until FROM web_hosts WHERE channel_id = ? AND host = ?',
            [$channel, $host],
        );
        if ($row->rests_until !== null && $row->rests_until > $at) {
            return Trouble::LeftAlone;
        }
        // One trial at a time: whoever comes first moves the rest on.
        $isNewMinute = $row->counted_from <= self::time($now->plusMillis(-60_000));
        $taken = $this->connection->update(
            'UPDATE web_hosts SET times = IF(counted_from <= ?, 1, times + 1), '
                .'counted_from = IF(counted_from <= ?, ?, counted_from), asked = asked + 1, '
                .'rests_until = IF(failures >= ?, ?, rests_until) '
                .'WHERE channel_id = ? AND host = ? AND (counted_from <= ? OR times < ?)',
            [
                self::time($now->plusMillis(-60_000)),
                self::time($now->plusMillis(-60_000)),
                $at,
                self::FAILURES,
                self::time($now->plusMillis(self::RESTS * 1_000)),
                $channel,
                $host,
                self::time($now->plusMillis(-60_000)),
                self::A_MINUTE,
            ],
        );

        return $taken === 0 && ! $isNewMinute ? Trouble::OverBudget : null;
    }

    /** How asking went: a source that goes on failing rests longer and longer, or as long as it asks to. */
    public function told(int $channel, string $host, Answer|Trouble $answer, Moment $now): void
    {
        $hasFailed = $answer instanceof Trouble || $answer->status >= 500 || $answer->status === 429;
        /** @var object{failures: int, last: string}|null $row */
        $row = $this->connection->selectOne(
            'SELECT failures, last FROM web_hosts WHERE channel_id = ? AND host = ?',
            [$channel, $host],
        );
        $failures = $hasFailed ? ($row->failures ?? 0) + 1 : 0;
        $rests = $failures < self::FAILURES
            ? 0
            : min(self::RESTS_AT_MOST, self::RESTS * 2 ** min(10, $failures - self::FAILURES));
        if ($hasFailed && $answer instanceof Answer) {
            $rests = max($rests, min(self::RESTS_AS_TOLD, HttpDate::secondsUntilRetry($answer)));
        }
        $this->connection->update(
            'UPDATE web_hosts SET failures = ?, rests_until = ?, last = ? WHERE channel_id = ? AND host = ?',
            [
                $failures,
                $rests === 0 ? null : self::time($now->plusMillis($rests * 1_000)),
                HostHealth::of($row->last ?? '{}')->after($answer, $now)->kept(),
                $channel,
                $host,
            ],
        );
    }

    public function fromKept(int $channel, string $host): void
    {
        $this->connection->update(
            'UPDATE web_hosts SET from_kept = from_kept + 1 WHERE channel_id = ? AND host = ?',
            [$channel, $host],
        );
    }

    private static function time(Moment $moment): string
    {
        return str_replace(['T', 'Z'], [' ', ''], $moment->iso());
    }
}
