<?php

declare(strict_types=1);

namespace App\Border;

use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Log;

/**
 * What people wrote, their addresses and hashes stand in queries, and stay out of logs: only the query's form is
 * written down.
 */
final class QueryReport
{
    public function __invoke(QueryException $exception): bool
    {
        $info = $exception->errorInfo;
        Log::error('A query failed', [
            'code' => is_array($info) ? $info[1] ?? null : $exception->getCode(),
            'form' => mb_substr($exception->getSql(), 0, 500),
            'at' => array_map(
                static fn (array $step): string => basename($step['file'] ?? '').':'.($step['line'] ?? 0),
                array_slice($exception->getTrace(), 0, 12),
            ),
        ]);

        return false;
    }
}
