<?php

declare(strict_types=1);

namespace App\Publish;

use App\Models\Channel;
use App\Models\Edition;
use App\Models\User;
use App\Storage\Assembler;
use App\Write\Findings;
use App\Write\FindingsOfPack;
use SilverParrot\Format\ChosenChanges;
use SilverParrot\Format\Difference;
use SilverParrot\Format\Differences;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\Pack;

/** Puts chosen changes of the draft on the air; the others wait in the draft. */
final readonly class PublishChanges
{
    public function __construct(
        private Assembler $assembler,
        private Editions $editions,
        private Findings $findings,
    ) {
    }

    /**
     * @param  ChosenChanges|null  $chosen  null for all that have no errors
     *
     * @throws CannotPublish
     */
    public function __invoke(Channel $channel, string $note, ?ChosenChanges $chosen, User $by): Edition
    {
        return Editions::locked($channel, function () use ($channel, $note, $chosen, $by): Edition {
            $commands = $this->assembler->commands($channel);
            $draft = $this->assembler->documentOf($channel, $commands);
            $air = $this->editions->onAir($channel, asPublished: true);
            $differences = Differences::between($air, $draft);
            $blocked = new BlockedChanges(
                $differences,
                $this->findings->in($channel, $draft->withCommands([]), $commands, null),
            );
            $chosen ??= $blocked->others();
            $taken = array_values(array_filter($differences, $chosen->has(...)));
            if ($taken === [] && ($air !== null || $differences !== [])) {
                throw CannotPublish::nothing();
            }
            self::mustWork(array_merge(...array_map($blocked->by(...), $taken)));
            $pack = $chosen->between($air, $draft);
            $same = ChosenChanges::collision($pack);
            if ($same !== null) {
                throw CannotPublish::sameTrigger($same[0]->trigger, $same[1]->trigger);
            }
            self::mustWork($this->besideTheAir($channel, $pack, $commands, $taken, $differences)?->errors() ?? []);

            return Editions::put($channel, $pack, $note, $by, array_column($taken, 'id'));
        });
    }

    /**
     * What the chosen commands would find around them on the air, where what is around them does not come along.
     *
     * @param  array<int, Command>  $commands  of the draft, by the row's number
     * @param  list<Difference>  $taken
     * @param  list<Difference>  $differences
     */
    private function besideTheAir(
        Channel $channel,
        Pack $pack,
        array $commands,
        array $taken,
        array $differences,
    ): ?FindingsOfPack {
        $rest = array_filter($differences, static fn (Difference $one): bool => $one->trigger === '');
        $ids = array_column($taken, 'id');
        if ($rest === [] || in_array('', $ids, true)) {
            return null;
        }

        return $this->findings->in(
            $channel,
            $pack->withCommands([]),
            array_filter($commands, static fn (Command $one): bool => in_array($one->id, $ids, true)),
            null,
        );
    }

    /** @param  list<array{command: Command|null, findings: list<mixed>}>  $errors */
    private static function mustWork(array $errors): void
    {
        if ($errors !== []) {
            throw CannotPublish::errors(
                array_sum(array_map(static fn (array $group): int => count($group['findings']), $errors)),
                array_map(
                    static fn (array $group): string => $group['command']->trigger ?? 'what belongs to no command',
                    $errors,
                ),
            );
        }
    }
}
