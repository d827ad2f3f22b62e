<?php

declare(strict_types=1);

namespace App\Rehearse;

use App\Models\Channel;
use App\Models\User;
use App\Remember\MemoryEditor;
use App\Storage\Assembler;
use App\Storage\Viewers;
use Illuminate\Support\Str;
use SilverParrot\Memory\View;
use SilverParrot\Rehearsal\LastingChanges;
use SilverParrot\Source\Message;
use SilverParrot\Value\Moment;

/** What a rehearsal has changed, kept for good when somebody says so: one act of the history, taken back as one. */
final readonly class KeepChanges
{
    public function __construct(private MemoryEditor $memory, private Assembler $assembler)
    {
    }

    public function of(Channel $channel, TriedChat $tried): LastingChanges
    {
        return LastingChanges::of($tried->heard, $this->people($channel, LastingChanges::logins($tried->heard)));
    }

    /** @return Message|null why not; null where they are kept */
    public function keep(Channel $channel, LastingChanges $lasting, User $by): ?Message
    {
        $pack = $this->assembler->names($channel);
        $why = null;
        $do = static function (View $memory) use ($lasting, $pack, &$why): array {
            $changes = $lasting->in($memory, $pack, Moment::of(now()));
            $why = $changes instanceof Message ? $changes : null;

            return $changes instanceof Message ? [] : $changes;
        };
        $this->memory->change($channel, $by, $lasting->reads($pack), $do, (string) Str::ulid());

        return $why;
    }

    /**
     * @param  list<string>  $logins
     * @return array<array-key, string> ids of those who have them in the real chat, by login
     */
    private function people(Channel $channel, array $logins): array
    {
        $people = [];
        // Of several who had it, whoever was seen last has it now.
        $rows = $channel->viewers()->whereIn('login', $logins)->where('service', '<>', '')->orderBy('last_seen')->get();
        foreach ($rows as $row) {
            $people[$row->login] = Viewers::personId($row->service, $row->service_id);
        }

        return $people;
    }
}
