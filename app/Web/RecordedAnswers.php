<?php

declare(strict_types=1);

namespace App\Web;

use Amp\TimeoutCancellation;
use App\Models\Channel;
use App\Models\LookupRow;
use DateTimeZone;
use Illuminate\Database\Connection;
use Illuminate\Database\Query\Builder;
use SilverParrot\Document\Document;
use SilverParrot\Format\CannedAnswersFormat;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\CannedAnswer;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\ReadAnswer;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Moment;

/**
 * The last real answers of look-ups, and what their author keeps of them under a name: with these they are rehearsed,
 * without the web.
 */
final readonly class RecordedAnswers
{
    /** Bytes of a body that is recorded; of a larger one only what was read from it. */
    public const LARGEST = 65_536;

    /** Answers of one channel that are brought into a rehearsal. */
    private const MOST = 400;

    /** Real ones of one look-up: people choose what is asked. */
    public const MOST_OF_ONE = 20;

    /** Named ones of one look-up. */
    public const MOST_NAMED = 40;

    /** Of look-ups that are being made, in one channel. */
    private const MOST_DRAFTS = 40;

    /** What a draft's id begins with: no look-up that is saved has such a one. */
    public const DRAFT = "\u{1F}";

    /** Seconds that reading them anew may take. */
    private const SECONDS = 1.0;

    /** By what it was read where its body is not there to be read anew. */
    private const ONCE = 'once';

    public function __construct(private Connection $connection)
    {
    }

    /**
     * @param  array<string, string>  $arguments  as they were asked for, by name
     * @param  ReadAnswer|null  $read  where its readings were taken already
     */
    public function keep(int $channel, Lookup $lookup, array $arguments, Answer $answer, ?ReadAnswer $read = null): void
    {
        $isWhole = strlen($answer->body) <= self::LARGEST;
        if (! $isWhole && $read === null) {
            return;
        }
        $type = $answer->contentType();
        $this->put(
            $channel,
            $lookup->id,
            new CannedAnswer($arguments, new Answer(
                $answer->status,
                $type === '' ? [] : ['content-type' => $type],
                $isWhole ? $answer->body : '',
                $answer->at,
            )),
            $isWhole ? null : $read,
        );
        $real = $this->rows($channel, $lookup->id)->where('name', '');
        self::makeRoom($real, self::MOST_OF_ONE, 'number');
        if (str_starts_with($lookup->id, self::DRAFT)) {
            $drafts = $this->connection->table('recorded_answers')->where('channel_id', $channel);
            self::makeRoom($drafts->where('lookup', 'like', self::DRAFT.'%'), self::MOST_DRAFTS, 'id');
        }
    }

    /**
     * In place of the one with its name that is for the same.
     *
     * @param  string  $lookup  its id
     * @param  ReadAnswer|null  $read  where its body is not there to be read
     */
    public function put(int $channel, string $lookup, CannedAnswer $canned, ?ReadAnswer $read = null): void
    {
        $json = static fn (array $value): string => json_encode(
            (object) $value,
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE,
        );
        $document = CannedAnswersFormat::write($canned);
        $for = [];
        foreach ($canned->for as $name => $value) {
            $for[Fold::caseless($name)] = Fold::caseless($value);
        }
        ksort($for);
        $last = $this->rows($channel, $lookup)->max('number');
        $this->connection->table('recorded_answers')->upsert([[
            'channel_id' => $channel,
            'lookup' => $lookup,
            'arguments' => hash('sha256', $json($for)),
            'name' => $canned->name,
            'document' => $json(array_diff_key($document, ['body' => true])),
            'body' => $document['body'] ?? '',
            'readings' => $read === null ? null : $json($read->kept()),
            'read_by' => $read === null ? '' : self::ONCE,
            'number' => (is_numeric($last) ? (int) $last : 0) + 1,
        ]], ['channel_id', 'lookup', 'arguments', 'name'], ['document', 'body', 'readings', 'read_by', 'number']);
    }

    /** Of those that are for the same, this one is used from now on; a real one is, where no other was chosen. */
    public function choose(int $channel, string $lookup, int $id): void
    {
        $arguments = $this->rows($channel, $lookup)->where('id', $id)->value('arguments');
        $same = $this->rows($channel, $lookup)->where('arguments', is_string($arguments) ? $arguments : '');
        (clone $same)->update(['chosen' => false]);
        $same->where('id', $id)->where('name', '<>', '')->update(['chosen' => true]);
    }

    public function drop(int $channel, string $lookup, int $id): void
    {
        $this->rows($channel, $lookup)->where('id', $id)->delete();
    }

    /** What was recorded while it was made is its own from now on. */
    public function adopt(int $channel, string $draft, string $lookup): void
    {
        // What is left of one that was deleted, and had this id.
        $this->rows($channel, $lookup)->delete();
        $this->rows($channel, $draft)->update(['lookup' => $lookup]);
    }

    public function find(int $channel, Lookup $lookup, int $id): ?RecordedAnswer
    {
        return $this->all($this->rows($channel, $lookup->id)->where('id', $id), $lookup)[0] ?? null;
    }

    /** @return list<RecordedAnswer> of one look-up, the newest first */
    public function ofOne(int $channel, Lookup $lookup, int $most = self::MOST): array
    {
        return $this->all($this->rows($channel, $lookup->id)->orderByDesc('number')->limit($most), $lookup);
    }

    /** The newest answer of a look-up that the source has given. */
    public function last(int $channel, Lookup $lookup): ?Answer
    {
        $rows = $this->rows($channel, $lookup->id)->where('name', '')->where('body', '<>', '');
        $answer = ($this->all($rows->orderByDesc('number')->limit(1), $lookup)[0] ?? null)?->canned->answer;

        return $answer instanceof Answer ? $answer : null;
    }

    /** @return array<string, list<CannedAnswer>> what look-ups say in a rehearsal, by their folded names */
    public static function of(Channel $channel): array
    {
        $rows = $channel->lookups()->get()->keyBy('stable_id')->all();
        if ($rows === []) {
            return [];
        }
        $kept = new self($channel->getConnection());
        $chosen = $kept->chosen($channel);
        $answers = [];
        $workers = new ReadingWorkers;
        $within = new TimeoutCancellation(self::SECONDS);
        foreach ($chosen as $id => $those) {
            $row = $rows[$id] ?? null;
            if ($row !== null) {
                $answers[$row->name_folded] = array_map(
                    static fn (object $one): CannedAnswer => $kept->read($channel, $row, $one, $workers, $within),
                    $those,
                );
            }
        }
        $workers->end();
        foreach ($rows as $row) {
            $answers[$row->name_folded] = self::rehearsed($row, $answers[$row->name_folded] ?? []);
        }

        return array_filter($answers);
    }

    /**
     * @param  list<CannedAnswer>  $answers
     * @return list<CannedAnswer> as the source is rehearsed: in trouble, or slow
     */
    private static function rehearsed(LookupRow $row, array $answers): array
    {
        if ($row->rehearsed_trouble !== null) {
            return [new CannedAnswer([], $row->rehearsed_trouble)];
        }
        // What is for certain values comes before what is for any.
        usort($answers, static fn (CannedAnswer $a, CannedAnswer $b): int => count($b->for) <=> count($a->for));

        return array_map(static fn (CannedAnswer $one): CannedAnswer => $one->slowBy($row->rehearsed_slow), $answers);
    }

    /**
     * @return array<string, list<object{id: int, document: string, readings: string|null, read_by: string}>> by id of
     *     the look-up: for all that was asked, what was chosen, else what the source said
     */
    private function chosen(Channel $channel): array
    {
        /**
         * @var list<object{id: int, lookup: string, arguments: string, chosen: int, document: string,
         *     readings: string|null, read_by: string}> $rows
         */
        $rows = $this->connection->select(
            // One that many people ask for takes no other's place: the newest of each come first.
            'SELECT id, lookup, arguments, chosen, document, readings, read_by FROM recorded_answers WHERE '
                ."channel_id = ? AND (chosen = 1 OR name = '') ORDER BY ROW_NUMBER() OVER (PARTITION BY lookup "
                .'ORDER BY chosen DESC, number DESC), lookup LIMIT '.self::MOST,
            [$channel->id],
        );
        $chosen = [];
        foreach ($rows as $row) {
            $chosen[$row->lookup][$row->arguments] ??= $row;
        }

        return array_map(array_values(...), $chosen);
    }

    /** @param  object{id: int, document: string, readings: string|null, read_by: string}  $row */
    private function read(
        Channel $channel,
        LookupRow $of,
        object $row,
        ReadingWorkers $workers,
        TimeoutCancellation $within,
    ): CannedAnswer {
        $lookup = $of->lookup();
        $canned = self::canned($row->document, '', $lookup);
        if (! $canned->answer instanceof Answer) {
            return $canned;
        }
        $readBy = hash('sha256', json_encode($of->document, JSON_THROW_ON_ERROR).$channel->zone);
        $isKnown = in_array($row->read_by, [self::ONCE, $readBy], true);
        $known = $isKnown ? ReadAnswer::fromKept(json_decode((string) $row->readings, true)) : null;
        if ($known === null) {
            $body = $this->connection->table('recorded_answers')->where('id', $row->id)->value('body');
            $whole = self::canned($row->document, is_string($body) ? $body : '', $lookup)->answer;
            // Somebody has changed the paths: they are not trusted to end by themselves.
            $zone = new DateTimeZone($channel->zone);
            $known = $whole instanceof Answer ? $workers->read($lookup, $whole, $zone, $within) : new ReadAnswer([]);
            $this->connection->table('recorded_answers')->where('id', $row->id)->update([
                'readings' => json_encode($known->kept(), JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE),
                'read_by' => $readBy,
            ]);
        }

        return $canned->read($known);
    }

    /** @return list<RecordedAnswer> */
    private function all(Builder $rows, Lookup $lookup): array
    {
        $all = [];
        foreach ($rows->get(['id', 'chosen', 'document', 'body', 'readings', 'read_by']) as $row) {
            /**
             * @var object{id: int, chosen: int, document: string, body: string, readings: string|null,
             *     read_by: string} $row
             */
            $canned = self::canned($row->document, $row->body, $lookup);
            $known = $row->read_by === self::ONCE
                ? ReadAnswer::fromKept(json_decode((string) $row->readings, true))
                : null;
            $all[] = new RecordedAnswer(
                $row->id,
                $known === null ? $canned : $canned->read($known),
                $row->chosen === 1,
            );
        }

        return $all;
    }

    private static function canned(string $document, string $body, Lookup $lookup): CannedAnswer
    {
        $read = json_decode($document, true);

        return CannedAnswersFormat::one(
            Document::of((is_array($read) ? $read : []) + ['body' => $body]),
            $lookup,
            Moment::of(now()),
        );
    }

    private function rows(int $channel, string $lookup): Builder
    {
        return $this->connection->table('recorded_answers')->where('channel_id', $channel)->where('lookup', $lookup);
    }

    private static function makeRoom(Builder $rows, int $most, string $by): void
    {
        $oldest = (clone $rows)->orderByDesc($by)->skip($most)->value($by);
        if (is_int($oldest)) {
            $rows->where($by, '<=', $oldest)->delete();
        }
    }
}
