<?php

declare(strict_types=1);

namespace Ground;

/** The logs of an instance: the owner's alone, and never without end. */
final readonly class Logs
{
    /** Bytes of one log; what it held before is kept once more. */
    private const LONGEST = 5_000_000;

    public function __construct(private Paths $paths)
    {
    }

    /** From here on, whatever is written is the owner's alone; so is what was written before. */
    public function close(): void
    {
        umask(0o077);
        @chmod($this->paths->logs, 0o700);
        foreach (glob($this->paths->logs.'/*') ?: [] as $file) {
            @chmod($file, 0o600);
        }
    }

    /** Servers write on into the same file, so it is copied and begun anew, not renamed. */
    public function rotate(): void
    {
        clearstatcache();
        foreach (glob($this->paths->logs.'/*.log') ?: [] as $file) {
            if ((int) @filesize($file) > self::LONGEST && @copy($file, "$file.1")) {
                $log = @fopen($file, 'r+');
                if ($log !== false) {
                    ftruncate($log, 0);
                    fclose($log);
                }
            }
        }
    }
}
