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
 * @property array<string, string>|null $refusals what is said where a gate is closed, by the refusal’s key
 * @property array<string, bool>|null $from_chat as the pack document has it
 * @property array<string, int>|null $regulars as the pack document has it
 * @property bool $quotes_all_once
 * @property string $quote_dates
 * @property array<string, mixed>|null $plan as a pack document has it
 * @property int|null $edition_on_air
 * @property bool $paused
 * @property list<string> $silenced folded ids of commands
 * @property int $lease_epoch
 * @property ConnectionState $air_state
 * @property bool $air_knows_people
 * @property bool $looks_at_addresses of hosts that are not allowed for look-ups too
 * @property int $keep_days of what was heard and said
 * @property array{failed: int, failed_at: string, dropped: int}|null $air_troubles since the talker took the channel
 * @property array{host: string, port: int, tls: bool, nick: string, room: string, sign_in: string,
 *     account: string}|null $chat_server null for the harbour
 * @property string|null $chat_secret
 * @property Carbon|null $air_seen_at
 * @property Carbon|null $here_listed_at when the chat's own list of people was told last
 * @property Collection<int, Membership> $memberships
 * @property Collection<int, EmoteRow> $emotes
 * @property Collection<int, EmoteRow> $emotesInShort
 */
final class Channel extends Model
{
    /** @use HasFactory<ChannelFactory> */
    use HasFactory;

    protected $guarded = [];

    protected $casts = [
        'talkers' => 'array',
        'details' => 'array',
        'paused' => 'boolean',
        'quotes_all_once' => 'boolean',
        'looks_at_addresses' => 'boolean',
        'plan' => 'array',
        'refusals' => 'array',
        'from_chat' => 'array',
        'regulars' => 'array',
        'silenced' => 'array',
        'air_seen_at' => 'datetime',
        'here_listed_at' => 'datetime',
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

    /** @return HasMany<HandedSaying, $this> */
    public function sayings(): HasMany
    {
        return $this->hasMany(HandedSaying::class);
    }

    /** @return HasMany<LoggedLine, $this> */
    public function loggedLines(): HasMany
    {
        return $this->hasMany(LoggedLine::class);
    }

    /** @return HasMany<GoodsRow, $this> */
    public function goods(): HasMany
    {
        return $this->hasMany(GoodsRow::class);
    }

    /** @return HasMany<TimerRow, $this> */
    public function timers(): HasMany
    {
        return $this->hasMany(TimerRow::class);
    }

    /** @return HasMany<ScriptRow, $this> */
    public function scripts(): HasMany
    {
        return $this->hasMany(ScriptRow::class)->orderBy('title')->orderBy('id');
    }

    /** @return HasMany<RehearsalRow, $this> */
    public function rehearsals(): HasMany
    {
        return $this->hasMany(RehearsalRow::class);
    }

    /** @return HasMany<LookupRow, $this> */
    public function lookups(): HasMany
    {
        return $this->hasMany(LookupRow::class);
    }

    /** @return HasMany<EarningRow, $this> */
    public function earnings(): HasMany
    {
        return $this->hasMany(EarningRow::class);
    }

    /** @return HasMany<LiveAddress, $this> */
    public function liveAddresses(): HasMany
    {
        return $this->hasMany(LiveAddress::class);
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
    public function castMembers(): HasMany
    {
        return $this->hasMany(CastMemberRow::class)->orderBy('position');
    }

    /** @return HasMany<EffectRow, $this> */
    public function effects(): HasMany
    {
        return $this->hasMany(EffectRow::class);
    }

    /** @return HasMany<CommandChange, $this> */
    public function changes(): HasMany
    {
        return $this->hasMany(CommandChange::class);
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
