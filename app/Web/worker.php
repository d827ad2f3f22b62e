<?php

declare(strict_types=1);

// Reads answers, one a line, until nobody asks any more. Whoever started it ends it where it takes too long: a path may
// take any time at all.

use SilverParrot\Document\Document;
use SilverParrot\Format\LookupFormat;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\AnswerReader;
use SilverParrot\Value\Moment;

ini_set('memory_limit', '256M');
ini_set('display_errors', 'stderr');

require dirname(__DIR__, 2).'/vendor/autoload.php';

while (($line = fgets(STDIN)) !== false) {
    /**
     * @var array{status: int, headers: array<string, string>, body: string, at: int, zone: string,
     *     lookup: array<string, mixed>} $asked
     */
    $asked = json_decode($line, true, flags: JSON_THROW_ON_ERROR);
    $answer = new Answer($asked['status'], $asked['headers'], $asked['body'], new Moment($asked['at']));
    $reader = new AnswerReader(
        LookupFormat::read(Document::of($asked['lookup'])),
        $answer,
        new DateTimeZone($asked['zone']),
    );
    echo json_encode($reader->all()->kept(), JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE), "\n";
}
