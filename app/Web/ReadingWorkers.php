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
use SilverParrot\Lookup\ReadAnswer;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;

/**
 * Processes that take the readings out of answers: a path that never ends, or an answer that fills the memory, ends one
 * of them and nothing else.
 */
final class ReadingWorkers
{
    /** At once. */
    private const MOST = 4;

    /** Bytes of one line of readings. */
    private const LONGEST = 1_048_576;

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
        $asked = json_encode([
            'lookup' => ['id' => $lookup->id] + LookupFormat::write($lookup),
            'status' => $answer->status,
            'headers' => (object) $answer->headers,
            'body' => $answer->body,
            'at' => $answer->at->millis,
            'zone' => $zone->getName(),
        ], JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE);
        $lock = $this->room->acquire();
        $process = null;
        try {
            $within->throwIfRequested();
            [$process, $said] = array_pop($this->idle) ?? self::start();
            $process->getStdin()->write("$asked\n");
            $line = $said->readUntil("\n", $within, self::LONGEST);
            $this->idle[] = [$process, $said];
        } catch (CancelledException|StreamException|BufferException|ProcessException) {
            $process?->kill();
            $line = null;
        } finally {
            $lock->release();
        }

        return ReadAnswer::fromKept($line === null ? null : json_decode($line, true)) ?? new ReadAnswer(array_map(
            static fn (): Gap => new Gap(GapReason::LookupPathTooSlow, ['name' => $lookup->name]),
            $lookup->readings,
        ));
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
