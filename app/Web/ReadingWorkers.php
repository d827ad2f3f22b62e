<?php

declare(strict_types=1);

namespace App\Web;

use Amp\ByteStream\BufferedReader;
use Amp\ByteStream\BufferException;
use Amp\ByteStream\StreamException;
use Amp\Cancellation;
use Amp\CancelledException;
use Amp\Process\Process;
use Amp\Process\ProcessException;
use Amp\Sync\LocalSemaphore;
use SilverParrot\Format\LookupFormat;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\Outline\Candidate;
use SilverParrot\Lookup\Outline\OutlineNode;
use SilverParrot\Lookup\Paths\AnswerFormat;
use SilverParrot\Lookup\Paths\BadAnswer;
use SilverParrot\Lookup\ReadAnswer;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;

/**
 * Processes in which answers are read and outlined: a path that never ends, or an answer that fills the memory, ends
 * one of them and nothing else.
 */
final class ReadingWorkers
{
    /** At once. */
    private const MOST = 4;

    /** Bytes of one line of readings, or of candidates. */
    private const LONGEST = 1_048_576;

    /** Bytes of an outline: each of its places has the way to it. */
    private const LONGEST_OUTLINE = 8_388_608;

    /** How deep what comes back may be nested. */
    public const DEEPEST = 2_048;

    /** @var list<array{Process, BufferedReader}> started and idle */
    private array $idle = [];

    private readonly LocalSemaphore $room;

    public function __construct()
    {
        $this->room = new LocalSemaphore(self::MOST);
    }

    /** Gaps where it could not be read in time. */
    public function read(Lookup $lookup, Answer $answer, \DateTimeZone $zone, Cancellation $within): ReadAnswer
    {
        return ReadAnswer::fromKept($this->ask([
            'do' => 'readings',
            'lookup' => ['id' => $lookup->id] + LookupFormat::write($lookup),
            'status' => $answer->status,
            'headers' => (object) $answer->headers,
            'body' => $answer->body,
            'at' => $answer->at->millis,
            'zone' => $zone->getName(),
        ], $within)) ?? new ReadAnswer(array_map(
            static fn (): Gap => new Gap(GapReason::LookupPathTooSlow, ['name' => $lookup->name]),
            $lookup->readings,
        ));
    }

    /**
     * @return OutlineNode|null null where it takes too long
     *
     * @throws BadAnswer
     */
    public function outline(AnswerFormat $format, string $body, Cancellation $within): ?OutlineNode
    {
        $asked = ['do' => 'outline', 'format' => $format->value, 'body' => $body];
        $said = $this->ask($asked, $within, self::LONGEST_OUTLINE);
        if (is_string($said['bad'] ?? null)) {
            throw new BadAnswer($said['bad']);
        }

        return OutlineNode::fromKept($said['node'] ?? null);
    }

    /**
     * @param  string  $path  of the reading that takes one of them
     * @return list<Candidate> none where it takes too long
     */
    public function candidates(AnswerFormat $format, string $body, string $path, Cancellation $within): array
    {
        $candidates = [];
        $asked = ['do' => 'candidates', 'format' => $format->value, 'body' => $body, 'path' => $path];
        foreach ($this->ask($asked, $within) ?? [] as $one) {
            /** @var array{string, list<array{string, string}>} $one as AnswerWork writes them */
            $candidates[] = new Candidate($one[0], $one[1]);
        }

        return $candidates;
    }

    /**
     * @param  array<string, mixed>  $asked
     * @param  int<1, max>  $longest  bytes of what may come back
     * @return array<array-key, mixed>|null null where nothing came in time
     */
    private function ask(array $asked, Cancellation $within, int $longest = self::LONGEST): ?array
    {
        $lock = $this->room->acquire();
        $process = null;
        try {
            $within->throwIfRequested();
            [$process, $said] = array_pop($this->idle) ?? self::start();
            $process->getStdin()->write(
                json_encode($asked, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE)."\n",
            );
            $line = $said->readUntil("\n", $within, $longest);
            $this->idle[] = [$process, $said];
        } catch (CancelledException|StreamException|BufferException|ProcessException) {
            $process?->kill();

            return null;
        } finally {
            $lock->release();
        }
        $answer = json_decode($line, true, self::DEEPEST);

        return is_array($answer) ? $answer : null;
    }

    public function end(): void
    {
        foreach ($this->idle as [$process]) {
            $process->kill();
        }
        $this->idle = [];
    }

    public function __destruct()
    {
        $this->end();
    }

    /** @return array{Process, BufferedReader} */
    private static function start(): array
    {
        $process = Process::start([PHP_BINARY, '-d', 'pcov.enabled=0', __DIR__.'/worker.php']);

        return [$process, new BufferedReader($process->getStdout())];
    }
}
