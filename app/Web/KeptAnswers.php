<?php

declare(strict_types=1);

namespace App\Web;

use Illuminate\Database\Connection;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\Freshness;
use SilverParrot\Lookup\Keep;
use SilverParrot\Value\Moment;

/** What was fetched, shared by the talker and the screens of a channel. */
final readonly class KeptAnswers
{
    /** Answers of one channel; the oldest make room. */
    public const MOST = 100;

    public function __construct(private Connection $connection)
    {
    }

    /** @return array{Answer, bool}|null the answer and whether it is fresh; null where none may be taken any more */
    public function find(int $channel, string $asked, Moment $now): ?array
    {
        /** @var object{status: int, headers: string, body: string, at: string, fresh_until: string}|null $row */
        $row = $this->connection->selectOne(
            'SELECT status, headers, body, at, fresh_until FROM web_answers WHERE channel_id = ? AND asked = ? AND '
                .'kept_until > ?',
            [$channel, $asked, self::time($now)],
        );
        if ($row === null) {
            return null;
        }
        /** @var array<string, string> $headers */
        $headers = json_decode($row->headers, true);
        $moment = static fn (string $at): Moment => Moment::fromIso(str_replace(' ', 'T', $at).'Z') ?? new Moment(0);

        return [
            new Answer($row->status, $headers, $row->body, $moment($row->at)),
            $moment($row->fresh_until)->millis > $now->millis,
        ];
    }

    /**
     * Whether this process may ask it now: no other one does. Whoever dies lets go of it.
     *
     * @param  string  $asked  what is asked
     */
    public function begin(int $channel, string $asked): bool
    {
        $isHeld = $this->connection->scalar('SELECT GET_LOCK(?, 0)', [self::lock($channel, $asked)]);

        // As a number or as its digits, as the connection tells numbers.
        return in_array($isHeld, [1, '1'], true);
    }

    public function end(int $channel, string $asked): void
    {
        $this->connection->scalar('SELECT RELEASE_LOCK(?)', [self::lock($channel, $asked)]);
    }

    private static function lock(int $channel, string $asked): string
    {
        return 'web '.hash('xxh128', "$channel $asked");
    }

    public function keep(int $channel, string $asked, Answer $answer, Keep $for): void
    {
        $fresh = $for->seconds(Freshness::seconds($answer));
        $this->connection->statement(
            'REPLACE INTO web_answers (channel_id, asked, status, headers, body, at, fresh_until, kept_until) VALUES '
                .'(?, ?, ?, ?, ?, ?, ?, ?)',
            [
                $channel,
                $asked,
                $answer->status,
                json_encode((object) $answer->headers, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE),
                $answer->body,
                self::time($answer->at),
                self::time($answer->at->plusMillis($fresh * 1_000)),
                self::time($answer->at->plusMillis(($fresh + $for->stale) * 1_000)),
            ],
        );
        $this->makeRoom($channel);
    }

    /** People choose what is asked: however many words they try, a channel keeps only so many answers. */
    private function makeRoom(int $channel): void
    {
        $oldest = $this->connection
            ->table('web_answers')
            ->where('channel_id', $channel)
            ->orderByDesc('id')
            ->skip(self::MOST)
            ->value('id');
        if (is_int($oldest)) {
            $this->connection
                ->table('web_answers')
                ->where('channel_id', $channel)
                ->where('id', '<=', $oldest)
                ->delete();
        }
    }

    private static function time(Moment $moment): string
    {
        return str_replace(['T', 'Z'], [' ', ''], $moment->iso());
    }
}
