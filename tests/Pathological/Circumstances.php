<?php

declare(strict_types=1);

namespace Tests\Pathological;

use SilverParrot\Chance\KeyedChance;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Lookup\CannedReadings;
use SilverParrot\Memory\CompleteView;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\SyntheticWorld;
use SilverParrot\Response\Analysis\EstimatedCondition;
use SilverParrot\Response\Analysis\EstimatedSlot;
use SilverParrot\Response\Analysis\Lengths;
use SilverParrot\Response\Analysis\StaticAnalyzer;
use SilverParrot\Response\Evaluation\EvaluationContext;
use SilverParrot\Response\Evaluation\Invocation;
use SilverParrot\Response\Evaluation\PendingReads;
use SilverParrot\Response\OwnResponses;
use SilverParrot\Response\RenderedResponse;
use SilverParrot\Response\Response;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Response\Syntax\Expression;
use SilverParrot\Response\Syntax\Literal;
use SilverParrot\Response\Syntax\Part;
use SilverParrot\Response\Vocabulary\Vocabulary;
use SilverParrot\Value\Moment;
use SilverParrot\World as SaidIn;
use Tests\Core\Response\World;

/** Lines, memories, readings and moments in which a response may succeed. */
final class Circumstances
{
    private readonly Pack $pack;

    private readonly ChatProfile $profile;

    private readonly Vocabulary $vocabulary;

    private readonly Lengths $lengths;

    public function __construct()
    {
        $this->pack = World::pack();
        $this->profile = ChatProfile::stream();
        $this->vocabulary = new Vocabulary;
        $this->lengths = Lengths::of($this->pack->channel);
    }

    /** False for what has mistakes: of that, nothing is claimed. */
    public function areSaidToFailAlways(string $source): bool
    {
        $response = Response::of($source, $this->vocabulary);
        if ($response->findings($this->pack) !== []) {
            return false;
        }
        $estimate = StaticAnalyzer::of($response, $this->pack, $this->profile, ['!say'], $this->lengths);
        $said = array_filter(
            $estimate->slots,
            static fn (EstimatedSlot $one): bool => ! $one->slot->isQuiet || $one->slot->as === '',
        );

        return array_filter(
            [...$said, ...$estimate->conditions],
            static fn (EstimatedSlot|EstimatedCondition $one): bool => ! $one->isInBranch
                && $one->estimate->fails !== null,
        ) !== [];
    }

    /** @return string|null the line with which it does, in one of so many; null where it never does */
    public function inWhichItSucceeds(string $source, int $most): ?string
    {
        $response = Response::of($source, $this->vocabulary);
        $literals = array_map(
            static fn (Expression $one): mixed => $one instanceof Literal ? $one->value : null,
            iterator_to_array(Part::expressions($response->parts), false),
        );
        $texts = [
            ...array_values(array_filter($literals, is_string(...))),
            'Planking',
            '2026-01-02',
            '5',
            'https://cove.example',
            'no',
            '2 days',
        ];
        $numbers = [1, 2, 7, 0, -1, ...array_values(array_filter($literals, is_int(...)))];
        $now = Moment::fromIso(World::NOW)->millis ?? 0;
        $lately = Moment::fromIso('2026-11-20T18:00:03Z') ?? new Moment(0);
        for ($attempt = 0; $attempt < $most; $attempt++) {
            $world = new SyntheticWorld(
                $this->pack,
                ['tamsin', 'somebody', '5'][$attempt % 3],
                40 + $attempt,
                $texts,
                $numbers,
            );
            $text = $texts[$attempt % count($texts)];
            $line = ['5', $text, "$text 5", '@odo 3 5', '', '2 days', '6 7 8'][intdiv($attempt, 3) % 7];
            $caller = Person::known(
                '1',
                'tamsin',
                ['Tamsin', '5', '2026-01-01'][$attempt % 3],
                Levels::of(...$attempt % 2 === 0 ? Level::cases() : []),
                $attempt % 4,
            );
            // Now and then nothing is known at all.
            [$memory, $readings] =
                $attempt % 7 === 6
                    ? [new CompleteView, new CannedReadings(['channel.live' => null])]
                    : [$world, $world];
            $at = $attempt % 4 === 3 ? $lately : new Moment($now + [0, -400, 400][$attempt % 3] * 86_400_000);
            $run = new EvaluationContext(
                new SaidIn(
                    $this->pack,
                    $memory,
                    $readings,
                    $at,
                    new KeyedChance('certain', (string) $attempt),
                    $this->profile,
                ),
                Invocation::of($caller, $line, '!say', trim("!say $line")),
                'x',
                new PendingReads,
                own: new OwnResponses(new ResponseCache),
            );
            if ($response->say($run) instanceof RenderedResponse) {
                return $line;
            }
        }

        return null;
    }
}
