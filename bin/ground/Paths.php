<?php

declare(strict_types=1);

namespace Ground;

/**
 * Where things lie. Everything that changes is under one folder, the home: the project's own storage, or the folder
 * named by PARROT_HOME, so that several instances (the tests' among them) can stand beside each other.
 */
final readonly class Paths
{
    /** A Unix socket's path may have 107 bytes (unix(7)). */
    private const LONGEST_SOCKET = 107;

    private function __construct(
        public string $project,
        public string $home,
        public string $settings,
        public string $logs,
    ) {
    }

    public static function of(string $project): self
    {
        $home = getenv('PARROT_HOME');

        return is_string($home) && $home !== ''
            ? new self($project, rtrim($home, '/'), rtrim($home, '/').'/.env', rtrim($home, '/').'/storage/logs')
            : new self($project, $project.'/storage/parrot', $project.'/.env', $project.'/storage/logs');
    }

    public function data(): string
    {
        return $this->home.'/data';
    }

    public function run(): string
    {
        return $this->home.'/run';
    }

    public function socket(): string
    {
        $socket = $this->run().'/my.sock';

        return strlen($socket) <= self::LONGEST_SOCKET
            ? $socket
            : sys_get_temp_dir().'/parrot-'.substr(hash('sha256', $socket), 0, 16).'.sock';
    }

    public function log(string $name): string
    {
        return $this->logs.'/'.$name;
    }

    /** Folders that must be there before anything is started. */
    public function make(): void
    {
        $folders = [$this->home, $this->run(), $this->logs];
        if ($this->settings !== $this->project.'/.env') {
            foreach (
                ['app', 'framework/cache/data', 'framework/sessions', 'framework/views', 'framework/testing'] as $folder
            ) {
                $folders[] = $this->home.'/storage/'.$folder;
            }
        }
        foreach ($folders as $folder) {
            if (! is_dir($folder) && ! @mkdir($folder, 0o700, true) && ! is_dir($folder)) {
                throw Disk::isFull(self::nearest($folder))
                    ? Trouble::diskFull($folder)
                    : Trouble::cannotWrite(self::nearest($folder));
            }
        }
        Disk::write($this->run().'/.room', str_repeat(' ', 65536));
    }

    /** Writes what the sentence on the screen has no room for; returns where. */
    public function note(string $name, string $text): string
    {
        $file = $this->log($name);

        return @file_put_contents($file, '['.gmdate('c')."] {$text}\n", FILE_APPEND) === false
            ? 'no log (it could not be written)'
            : $file;
    }

    private static function nearest(string $folder): string
    {
        while (! is_dir($folder) && $folder !== '/') {
            $folder = dirname($folder);
        }

        return $folder;
    }
}
