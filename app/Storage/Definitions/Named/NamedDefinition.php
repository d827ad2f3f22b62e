<?php

declare(strict_types=1);

namespace App\Storage\Definitions\Named;

use App\Models\Channel;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Str;
use SilverParrot\Source\Fold;

/**
 * A kind of thing that has a name, is made and edited on a screen, and is used from responses by that name. Its history
 * goes by its id, which stays when it is renamed. A new kind is one class and one line here.
 */
abstract class NamedDefinition implements UsedByName
{
    /** @return list<self> in the order of the screen */
    public static function all(): array
    {
        return [new Facts, new Lists, new Counters, new Occasions, new Fields, new GoodsForSale];
    }

    public static function called(string $key): ?self
    {
        return array_values(array_filter(self::all(), static fn (self $one): bool => $one->key() === $key))[0] ?? null;
    }

    public static function prefixed(string $prefix): ?self
    {
        return array_values(
            array_filter(self::all(), static fn (self $one): bool => $one->prefix() === $prefix),
        )[0] ?? null;
    }

    public function heads(): array
    {
        return [$this->prefix()];
    }

    /** "a counter", as one says it. */
    abstract public function one(): string;

    /** The route of the page where they are made and changed. */
    public function page(): string
    {
        return 'remember';
    }

    /** @return HasMany<covariant Model, Channel> */
    abstract public function rows(Channel $channel): HasMany;

    /** @return array<string, list<mixed>> what may be typed, besides the name */
    abstract public function rules(): array;

    /**
     * @param  array<string, mixed>  $typed  as it was found valid
     * @return array<string, mixed> columns of its row, besides the name; "items" for what hangs on it
     */
    abstract public function columns(array $typed): array;

    /**
     * @return array<string, mixed> the same, as a row has them
     */
    abstract protected function kept(Model $row): array;

    /** @param  array<string, mixed>  $columns */
    protected function keep(Channel $channel, Model $row, array $columns): void
    {
        $row->fill($columns)->save();
    }

    public function isForTheStreamer(): bool
    {
        return false;
    }

    public function read(Channel $channel, string $subject): ?array
    {
        $row = $this->rows($channel)->where('stable_id', $subject)->first();

        return $row === null ? null : ['name' => $row->getAttribute('name')] + $this->kept($row);
    }

    public function put(Channel $channel, string $subject, ?array $state): void
    {
        $row = $this->rows($channel)->where('stable_id', $subject)->first();
        if ($state === null) {
            $row?->delete();

            return;
        }
        $name = is_string($state['name'] ?? null) ? $state['name'] : $subject;
        $row ??= $this->rows($channel)->make(['stable_id' => $subject]);
        $row->fill(['channel_id' => $channel->id, 'name' => $name, 'name_folded' => Fold::caseless($name)]);
        $this->keep($channel, $row, array_diff_key($state, ['name' => true]));
    }

    /** @return string a new id: its name, unless that is taken */
    public function idFor(Channel $channel, string $name): string
    {
        // A document tells ids apart without regard to case.
        $taken = array_map(
            static fn (mixed $id): string => Fold::caseless(is_string($id) ? $id : ''),
            $this->rows($channel)->pluck('stable_id')->all(),
        );

        return in_array(Fold::caseless($name), $taken, true) ? Str::lower((string) Str::ulid()) : $name;
    }

    public function tell(string $subject, ?array $before, ?array $after): string
    {
        $name = static fn (?array $state): string => is_string($state['name'] ?? null) ? $state['name'] : '';
        $was = "{$this->prefix()}.{$name($before ?? $after)}";

        return match (true) {
            $after === null => "$was was deleted",
            $before === null => "$was was made",
            $name($before) !== $name($after) => "$was was renamed {$this->prefix()}.{$name($after)}",
            default => "$was was changed",
        };
    }
}
