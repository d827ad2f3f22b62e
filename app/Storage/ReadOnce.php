<?php

declare(strict_types=1);

namespace App\Storage;

use Closure;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\LeaseLost;
use SilverParrot\Memory\PartialView;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Store;
use SilverParrot\Memory\View;
use SilverParrot\Pack\CastMember;

/**
 * A channel's memory as rehearsals begin with it: each key is read when it is first asked for, and nothing is written.
 */
final class ReadOnce implements Store
{
    /**
     * A rehearsal begins with all gates open: what people of the real chat just used would close them for no reason
     * seen.
     */
    private const OPEN = [Kind::LastRun, Kind::Successes, Kind::RecentAnswers];

    /** @var array<string, null|bool|int|string|array<string, mixed>> by key id */
    private array $read = [];

    /** @param  list<string>|null  $cast  logins of the cast; null where whoever is asked for may be remembered */
    public function __construct(private readonly Store $store, private readonly ?array $cast = null)
    {
    }

    /** Of a crowd of thousands nobody is remembered: only the cast may be. */
    private function isNobodys(Key $key): bool
    {
        $login = $this->cast === null ? null : CastMember::loginOf($key->owner->of);

        return $login !== null && ! in_array($login, $this->cast ?? [], true);
    }

    public function snapshot(Reads $reads): View
    {
        $missing = array_filter(
            $reads->keys,
            fn (Key $key): bool => ! array_key_exists($key->id(), $this->read)
                && ! in_array($key->kind, self::OPEN, true)
                && ! $this->isNobodys($key),
        );
        if ($missing !== []) {
            $view = $this->store->snapshot(Reads::of(...array_values($missing)));
            foreach ($missing as $id => $key) {
                $this->read[$id] = $view->value($key);
            }
        }

        return new PartialView(
            array_map(fn (Key $key): null|bool|int|string|array => $this->read[$key->id()] ?? null, $reads->keys),
        );
    }

    public function turn(EventKey $key, Reads $reads, Closure $hear): LeaseLost
    {
        throw new \LogicException('A rehearsal writes into its own copy.');
    }
}
