<?php

declare(strict_types=1);

namespace App\Models;

use App\Air\ConnectionState;
use Database\Factories\ChannelFactory;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Checks\CheckEnvironment;
use SilverParrot\Value\Moment;

/**
 * @property int $id
 * @property string $login
 * @property string $name
 * @property string $language
 * @property string $zone
 * @property string $parrot
 * @property list<string> $talkers
 * @property array<string, null|bool|int|string> $details
 * @property string $seed
 * @property int $flood_person
 * @property int $flood_channel
 * @property int|null $edition_on_air
 * @property bool $paused
 * @property list<string> $silenced folded ids of commands
 * @property int $lease_epoch
 * @property ConnectionState $air_state
 * @property bool $air_knows_people
 * @property int $keep_days of what was heard and said
 * @property array{failed: int, failed_at: string, dropped: int}|null $air_troubles since the talker took the channel
 * @property array{host: string, port: int, tls: bool, nick: string, room: string, sign_in: string,
 *     account: string}|null $chat_server null for the harbour
 * @property string|null $chat_secret
 * @property Carbon|null $air_seen_at
 * @property Collection<int, Membership> $memberships
 * @property Collection<int, EmoteRow> $emotes
 * @property Collection<int, EmoteRow> $emotesInShort
 */
final class Channel extends Model
{
    /** @use HasFactory<ChannelFactory> */
    use HasFactory;

    /** A saying that waits longer than this is held up. */
    private const BEHIND_SECONDS = 3;

    protected $guarded = [];

    protected $casts = [
        'talkers' => 'array',
        'details' => 'array',
        'paused' => 'boolean',
        'silenced' => 'array',
        'air_seen_at' => 'datetime',
        'air_state' => ConnectionState::class,
        'air_knows_people' => 'boolean',
        'air_troubles' => 'array',
        'chat_server' => 'array',
        'chat_secret' => 'encrypted',
    ];

    protected $hidden = ['chat_secret'];

    /** What its kind of chat allows. */
    public function profile(): ChatProfile
    {
        return $this->chat_server === null ? ChatProfile::stream() : ChatProfile::irc();
    }

    /** What checks of its pack know besides the pack. */
    public function surroundings(): CheckEnvironment
    {
        $categories = $this->details['categories'] ?? '';

        return new CheckEnvironment(
            Moment::of(now()),
            $this->profile(),
            is_string($categories) && $categories !== '' ? explode("\n", $categories) : [],
        );
    }

    /** In plain words, how the parrot stands in this channel's chat. */
    public function health(): string
    {
        if ($this->edition_on_air === null) {
            return 'Nothing is published yet, so the parrot is in no chat.';
        }
        // Its heart beats each second; a few missed ones are a restart, more are trouble.
        if ($this->air_seen_at?->between(now()->subSeconds(10), now()->addSeconds(10)) !== true) {
            return 'The talker is not running. “bin/parrot up” starts it.';
        }

        $isThere = $this->air_state === ConnectionState::Connected || $this->air_state === ConnectionState::Moderator;

        $waiting = $isThere ? $this->waiting() : 0;

        return $this->air_state->sentence()
            .($waiting > 0
                ? ' It is falling behind: '
                    .($waiting === 1 ? 'one saying waits' : "$waiting sayings wait")
                    .' for room under the chat’s limits.'
                : '')
            .$this->toldTroubles()
            .($isThere && ! $this->air_knows_people
                ? ' This chat has no accounts, so people are known by their names alone.'
                : '');
    }

    private function toldTroubles(): string
    {
        $failed = $this->air_troubles['failed'] ?? 0;
        $dropped = $this->air_troubles['dropped'] ?? 0;
        $last =
            $failed === 0
                ? null
                : Moment::fromIso($this->air_troubles['failed_at'] ?? '')
                    ?->in(new \DateTimeZone($this->zone))
                    ->format('H:i');

        return ($dropped > 0
            ? ' '
                .($dropped === 1 ? 'One line' : number_format($dropped).' lines')
                .' came faster than the parrot can hear, and '
                .($dropped === 1 ? 'was' : 'were')
                .' dropped.'
            : '')
            .($failed > 0
                ? ' '
                    .($failed === 1 ? 'An error' : number_format($failed).' errors')
                    .' kept it from hearing or answering a line, last at '
                    .($last ?? 'an unknown time')
                    .'; the log says more.'
                : '');
    }

    /** Sayings that are queued for longer than it takes to say them. */
    private function waiting(): int
    {
        return $this->getConnection()
            ->table('outgoing')
            ->where('channel_id', $this->id)
            ->where('state', 'queued')
            ->where('queued_at', '<', now('UTC')->subSeconds(self::BEHIND_SECONDS))
            ->count();
    }

    /** @return HasMany<Membership, $this> */
    public function memberships(): HasMany
    {
        return $this->hasMany(Membership::class);
    }

    /** @return HasMany<Invitation, $this> */
    public function invitations(): HasMany
    {
        return $this->hasMany(Invitation::class);
    }

    /** @return HasMany<CommandRow, $this> */
    public function commands(): HasMany
    {
        return $this->hasMany(CommandRow::class);
    }

    /** @return HasMany<CommandAlias, $this> */
    public function aliases(): HasMany
    {
        return $this->hasMany(CommandAlias::class);
    }

    /** @return HasMany<FactRow, $this> */
    public function facts(): HasMany
    {
        return $this->hasMany(FactRow::class);
    }

    /** @return HasMany<TextListRow, $this> */
    public function lists(): HasMany
    {
        return $this->hasMany(TextListRow::class);
    }

    /** @return HasMany<CounterRow, $this> */
    public function counters(): HasMany
    {
        return $this->hasMany(CounterRow::class);
    }

    /** @return HasMany<OccasionRow, $this> */
    public function occasions(): HasMany
    {
        return $this->hasMany(OccasionRow::class);
    }

    /** @return HasMany<FieldRow, $this> */
    public function fields(): HasMany
    {
        return $this->hasMany(FieldRow::class);
    }

    /** @return HasMany<GoodsRow, $this> */
    public function goods(): HasMany
    {
        return $this->hasMany(GoodsRow::class);
    }

    /** @return HasMany<LadderRow, $this> */
    public function ladders(): HasMany
    {
        return $this->hasMany(LadderRow::class);
    }

    /** @return HasMany<EmoteRow, $this> */
    public function emotes(): HasMany
    {
        return $this->hasMany(EmoteRow::class)->orderBy('id');
    }

    /** @return HasMany<EmoteRow, $this> without their pixels: whether there are any */
    public function emotesInShort(): HasMany
    {
        return $this->emotes()
            ->select(['id', 'channel_id', 'stable_id', 'word', 'any_of', 'at_least'])
            ->selectRaw("picture <> '' AS has_picture");
    }

    /** @return HasMany<DefinitionChange, $this> */
    public function definitionChanges(): HasMany
    {
        return $this->hasMany(DefinitionChange::class);
    }

    /** @return HasMany<Viewer, $this> */
    public function viewers(): HasMany
    {
        return $this->hasMany(Viewer::class);
    }

    /** @return HasMany<ListItem, $this> */
    public function listItems(): HasMany
    {
        return $this->hasMany(ListItem::class);
    }

    /** @return HasMany<CastMemberRow, $this> */
    public function cast(): HasMany
    {
        return $this->hasMany(CastMemberRow::class)->orderBy('position');
    }

    /** @return HasMany<Change, $this> */
    public function changes(): HasMany
    {
        return $this->hasMany(Change::class);
    }

    /** @return HasMany<Edition, $this> */
    public function editions(): HasMany
    {
        return $this->hasMany(Edition::class);
    }

    /** @return HasMany<MemoryRow, $this> */
    public function memory(): HasMany
    {
        return $this->hasMany(MemoryRow::class);
    }
}
