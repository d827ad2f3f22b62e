<?php

declare(strict_types=1);

namespace App\Publish;

use App\Models\Channel;
use Illuminate\Contracts\Cache\Repository;
use SilverParrot\Pack\Expectation;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\ExpectationResult;
use SilverParrot\Rehearsal\Expected;
use SilverParrot\Source\Message;
use SilverParrot\Source\Wording;

/**
 * Which expectations of a draft no longer hold, kept for as long as the draft stays as it is, and looked at some at a
 * time.
 */
final readonly class KeptExpectationResults
{
    /** Expectations that are looked at in one go. */
    public const AT_ONCE = 200;

    private const MINUTES = 24 * 60;

    public function __construct(private Repository $cache, private Wording $wording)
    {
    }

    /**
     * @param  string  $written  the draft's document
     * @return array{list<ExpectationResult>, int, int} those that do not hold, how many there are in all, and how many
     *     were not looked at yet
     */
    public function broken(Channel $channel, Pack $draft, string $written): array
    {
        /** @var list<Expectation> $all */
        $all = array_merge(
            ...array_map(static fn ($command): array => $command->about->expectations, $draft->commands),
        );
        $key = "held {$channel->id} ".hash('xxh128', $written.json_encode(get_object_vars($channel->profile())));
        /** @var array{done: int, broken: list<array{int, string, list<string>, Message|null}>} $kept */
        $kept = $this->cache->get($key) ?? ['done' => 0, 'broken' => []];
        $until = min(count($all), $kept['done'] + self::AT_ONCE);
        for ($place = $kept['done']; $place < $until; $place++) {
            $holding = Expected::check($draft, $all[$place], $channel->profile(), $this->wording);
            if (! $holding->holds()) {
                $kept['broken'][] = [$place, $holding->by, $holding->saysNow, $holding->because];
            }
        }
        if ($until > $kept['done']) {
            $kept['done'] = $until;
            $this->cache->put($key, $kept, self::MINUTES * 60);
        }

        return [
            array_map(
                static fn (array $one): ExpectationResult => new ExpectationResult(
                    $all[$one[0]],
                    $one[1],
                    $one[2],
                    $one[3],
                ),
                $kept['broken'],
            ),
            count($all),
            count($all) - $until,
        ];
    }
}
