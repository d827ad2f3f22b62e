<?php

declare(strict_types=1);

namespace Ground\Servers;

use Ground\Paths;
use Ground\Server;

/** PHP's own web server with a few workers; nginx with php-fpm was no faster in trials. */
final readonly class Web implements Server
{
    private const WORKERS = '4';

    /** What a request may bring; more is not even kept. A picture of an emote, and a long paste, are the largest. */
    private const LIMITS = [
        '-d',
        'post_max_size=5M',
        '-d',
        'upload_max_filesize=4M',
        '-d',
        'max_file_uploads=1',
        '-d',
        'max_input_vars=4000',
        '-d',
        'max_input_nesting_level=8',
        '-d',
        'memory_limit=192M',
        '-d',
        'max_execution_time=20',
        '-d',
        'zend.exception_ignore_args=1',
    ];

    public function __construct(private Paths $paths, private int $port)
    {
    }

    public function name(): string
    {
        return 'web';
    }

    /** @return non-empty-list<string> */
    public function command(): array
    {
        return [
            // Quiet: addresses of requests hold links that sign people in, and stay out of logs.
            PHP_BINARY,
            '-q',
            '-d',
            'pcov.enabled=0',
            '-d',
            'variables_order=EGPCS',
            '-d',
            'expose_php=0',
            '-d',
            'display_errors=0',
            '-d',
            'display_startup_errors=0',
            ...self::LIMITS,
            '-S',
            "127.0.0.1:{$this->port}",
            '-t',
            $this->paths->project.'/public',
            $this->paths->project.'/bin/ground/router.php',
        ];
    }

    public function environment(): array
    {
        return ['PHP_CLI_SERVER_WORKERS' => self::WORKERS, 'APP_URL' => "http://127.0.0.1:{$this->port}"];
    }

    public function folder(): string
    {
        return $this->paths->project.'/public';
    }

    public function patience(): float
    {
        return 3;
    }

    public function isReady(): bool
    {
        $context = stream_context_create(['http' => ['timeout' => 3, 'ignore_errors' => true]]);
        $answer = @file_get_contents("http://127.0.0.1:{$this->port}/up", false, $context);

        return $answer !== false && str_contains($http_response_header[0] ?? '', ' 200');
    }
}
