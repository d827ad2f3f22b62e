<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

use Generator;
use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Person;
use SilverParrot\Figures\Evening;
use SilverParrot\Figures\MarkKind;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\Heard;
use SilverParrot\Rehearsal\Replay\LogReader;
use SilverParrot\Rehearsal\Replay\OpenQuestions;
use SilverParrot\Rehearsal\Replay\TalkerGuess;

/** One log that is heard: its lines, and what only a log tells. */
final class Replay
{
    private readonly LogReader $reader;

    private readonly TalkerGuess $guess;

    private readonly OpenQuestions $questions;

    public function __construct(
        private readonly int $channel,
        private readonly ReplayPlan $plan,
        private readonly Pack $pack,
    ) {
        $this->reader = $plan->reader(array_map(static fn (CastMember $one): Person => $one->person(), $pack->cast));
        $this->guess = new TalkerGuess;
        $this->questions = new OpenQuestions;
    }

    /** @return Generator<int, ChatLine> */
    public function events(): Generator
    {
        foreach ($this->reader->lines(LogFiles::lines(LogFiles::of($this->channel, $this->plan->file))) as $line) {
            $this->guess->take($line);
            yield $line;
        }
    }

    public function take(Heard $heard): void
    {
        $this->questions->take($heard);
    }

    /** @return array<string, mixed> what stands beside the picture */
    public function told(Evening $evening): array
    {
        $answered = $loops = [];
        foreach ($evening->marks as $mark) {
            if ($mark->kind === MarkKind::Said) {
                $answered[$mark->event] = true;
                $loops[$mark->by] = ($loops[$mark->by] ?? 0) + 1;
            }
        }
        $talkers = [];
        foreach ($this->guess->talkers() as $login => $talker) {
            $talkers[] = [
                'login' => $login,
                'name' => $talker['name'],
                'answers' => $talker['answers'],
                'lines' => $talker['lines'],
                'both' => count(array_intersect_key($talker['commands'], $answered)),
                'loops' => $loops[$talker['name']] ?? 0,
                'known' => $this->isKnown((string) $login),
            ];
        }

        return [
            'read' => $this->reader->read,
            'unread' => $this->reader->unread,
            'shown' => $this->reader->shown,
            'beyond' => $this->reader->beyond,
            'backwards' => $this->reader->backwards,
            'talkers' => $talkers,
            'questions' => $this->questions->groups($this->pack),
        ];
    }

    private function isKnown(string $login): bool
    {
        foreach ([$this->pack->parrot, ...$this->pack->talkers] as $talker) {
            if (Person::unknown($talker)->is($login)) {
                return true;
            }
        }

        return false;
    }
}
