<?php

declare(strict_types=1);

// Works on answers, one a line, until nobody asks any more. Whoever started it ends it where it takes too long: a path
// may take any time at all.

use App\Web\AnswerWork;
use App\Web\ReadingWorkers;

ini_set('memory_limit', '256M');
ini_set('display_errors', 'stderr');

require dirname(__DIR__, 2).'/vendor/autoload.php';

while (($line = fgets(STDIN)) !== false) {
    /**
     * @var array{do: string, status: int, headers: array<string, string>, body: string, at: int, zone: string,
     *     lookup: array<string, mixed>, format: string, path: string} $asked of these, what ReadingWorkers sends for it
     */
    $asked = json_decode($line, true, flags: JSON_THROW_ON_ERROR);
    echo json_encode(
        match ($asked['do']) {
            'outline' => AnswerWork::outline($asked),
            'candidates' => AnswerWork::candidates($asked),
            default => AnswerWork::readings($asked),
        },
        JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        ReadingWorkers::DEEPEST,
    ), "\n";
}
