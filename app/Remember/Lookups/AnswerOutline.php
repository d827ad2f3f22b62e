<?php

declare(strict_types=1);

namespace App\Remember\Lookups;

use Amp\TimeoutCancellation;
use App\Web\ReadingWorkers;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\Outline\OutlineNode;
use SilverParrot\Lookup\Paths\BadAnswer;

/** What came back as a tree, made where nobody waits for it for longer than the page does. */
final readonly class AnswerOutline
{
    private const SECONDS = 5.0;

    /** @return array{OutlineNode|null, string} nothing for what says no; why there is none */
    public function of(Lookup $lookup, Answer $answer): array
    {
        if ($answer->status < 200 || $answer->status > 299) {
            return [null, ''];
        }
        $workers = new ReadingWorkers;
        try {
            $outline = $workers->outline($lookup->format, $answer->body, new TimeoutCancellation(self::SECONDS));
        } catch (BadAnswer $bad) {
            return [null, 'This is no '.strtoupper($lookup->format->value).": {$bad->getMessage()}."];
        } finally {
            $workers->end();
        }

        return [$outline, $outline === null ? 'To show all of it takes too long; write the path of a reading.' : ''];
    }
}
