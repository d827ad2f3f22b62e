<?php

declare(strict_types=1);

namespace App\Remember\Viewers;

use App\Models\Channel;
use App\Models\User;
use App\Remember\MemoryEditor;
use App\Storage\Assembler;
use App\Storage\MariaDbStore;
use Closure;
use Illuminate\Database\Connection;
use SilverParrot\Actions\ActionDone;
use SilverParrot\Actions\CheckIn;
use SilverParrot\Actions\GivePoints;
use SilverParrot\Actions\TradeGoods;
use SilverParrot\Chat\Person;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\View;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\FieldType;
use SilverParrot\Pack\Goods;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Fold;
use SilverParrot\Value\Moment;

/** What viewers do from the chat, done here: the same actions, by the same rules, in one turn. */
final readonly class ViewerActions
{
    public function __construct(
        private Connection $connection,
        private Assembler $assembler,
        private MemoryEditor $memory,
    ) {
    }

    public function do(Channel $channel, Person $person, ActionRequest $request, User $by): ActionDone
    {
        $pack = $this->assembler->names($channel);
        $doing = $request->string('do')->value();
        if ($doing === 'check') {
            $check = new CheckIn($person, $pack->channel->zone);
            $now = Moment::of(now());

            $do = static fn (View $at): ActionDone => $check->do($now, $at);

            return $this->turn($channel, $by, $check->reads(), $do);
        }
        $what = $this->what($pack, $request->string('what')->value());
        $to = $this->known($channel, $request->string('to')->trim()->ltrim('@')->value());
        if ($what instanceof Field) {
            $give = new GivePoints($what, $person, $to);
            $typed = $request->string('amount')->value();

            $do = static fn (View $at): ActionDone => $give->do($typed, $at);

            return $this->turn($channel, $by, $give->reads(), $do);
        }
        $unit = $pack->field('points');
        if ($what === null || $unit === null) {
            return ActionDone::refused('not-for-sale', ['name' => $request->string('what')->value()]);
        }
        $trade = new TradeGoods($what, $unit);
        $count = $request->count();

        $do = static fn (View $at): ActionDone => match ($doing) {
            'buy' => $trade->buy($person, $count, $at),
            'sell' => $trade->sellBack($person, $count, $at),
            default => $trade->handOn($person, $to, $count, 0, $at),
        };

        return $this->turn($channel, $by, $trade->reads($person, $to), $do);
    }

    private function what(Pack $pack, string $id): Field|Goods|null
    {
        foreach ([...array_values($pack->fields), ...array_values($pack->goods)] as $one) {
            $isPoints = $one instanceof Goods || $one->type === FieldType::Points;
            if ($isPoints && ($one instanceof Goods ? 'goods ' : 'field ').$one->id === $id) {
                return $one;
            }
        }

        return null;
    }

    private function known(Channel $channel, string $login): Person
    {
        $key = Key::person($login);
        $record = $login === ''
            ? null
            : (new MariaDbStore($this->connection, $channel->id))->snapshot(Reads::of($key))->value($key);

        return Person::fromRecord($record) ?? Person::unknown($login === '' ? 'Nobody' : Fold::caseless($login));
    }

    /** @param  Closure(View): ActionDone  $do */
    private function turn(Channel $channel, User $by, Reads $reads, Closure $do): ActionDone
    {
        $done = ActionDone::refused('nobody-here');
        $this->memory->change($channel, $by, $reads, static function (View $memory) use ($do, &$done): array {
            $done = $do($memory);

            return $done->changes;
        });

        return $done;
    }
}
