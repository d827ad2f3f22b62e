<?php

declare(strict_types=1);

namespace App\Remember;

use App\Models\Channel;
use App\Storage\Definitions\Named\UsedByName;
use Illuminate\Database\Connection;
use SilverParrot\Source\Fold;

/**
 * What names something: commands, by what was found in them when they were last looked at, and facts and lists that are
 * responses themselves.
 */
final readonly class UsesOfNames
{
    public function __construct(private Connection $connection, private OwnTexts $own)
    {
    }

    /** @return list<string> triggers, and facts and lists that are responses themselves */
    public function of(Channel $channel, UsedByName $kind, string $name): array
    {
        return $this->all($channel)["{$kind->prefix()}.".Fold::caseless($name)] ?? [];
    }

    /** Where a user of a name, as of() tells it, is seen and changed. */
    public static function place(Channel $channel, string $user): string
    {
        return match (true) {
            preg_match('/^(fact|list|counter|caller)\./', $user) === 1 => route('remember', [
                $channel,
                'find' => $user,
            ]),
            $user === 'replies of closed gates' => route('write', $channel).'#refusals',
            str_starts_with($user, 'timer ') => route('write.timers', $channel),
            str_starts_with($user, 'lookup.') => route('remember.lookups', [
                $channel,
                'find' => substr($user, strlen('lookup.')),
            ]),
            str_starts_with($user, 'ranks by ') => route('remember.ranks', $channel),
            str_starts_with($user, 'live address ') => route('remember.live', [
                $channel,
                'edit' => substr($user, strlen('live address ')),
            ]),
            default => route('write', [$channel, 'find' => $user]),
        };
    }

    /** @return array<string, list<string>> the same by what they name: "counter.splinters" */
    public function all(Channel $channel): array
    {
        $uses = $this->own->uses($channel);
        $rows = $this->connection
            ->table('command_findings')
            ->join('commands', 'commands.id', '=', 'command_findings.command_id')
            ->where('command_findings.channel_id', $channel->id)
            ->orderBy('commands.trigger_folded')
            ->get(['commands.trigger', 'command_findings.named']);
        foreach ($rows as $row) {
            /** @var object{trigger: string, named: string} $row */
            $named = json_decode($row->named, true);
            foreach (is_array($named) ? array_filter($named, is_string(...)) : [] as $name) {
                $uses[$name][] = $row->trigger;
            }
        }

        return $uses;
    }
}
