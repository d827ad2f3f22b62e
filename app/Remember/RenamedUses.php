<?php

declare(strict_types=1);

namespace App\Remember;

use App\Models\Channel;
use App\Models\CommandRow;
use App\Models\User;
use App\Storage\CommandRepository;
use App\Storage\Definitions\Named\UsedByName;
use App\Wording\Sentences;
use SilverParrot\Hearing\CommandSummary;
use SilverParrot\Pack\Command;
use SilverParrot\Response\Renaming;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Source\Fold;

/** The commands that name something, as they are when it is called otherwise. */
final readonly class RenamedUses
{
    public function __construct(
        private CommandRepository $rows,
        private ResponseCache $prepared,
        private Sentences $sentences,
    ) {
    }

    /**
     * @return list<array{row: CommandRow, command: Command, texts: list<array{string, string}>}> each with its texts
     *     before and after
     */
    public function of(Channel $channel, UsedByName $kind, string $from, string $to): array
    {
        $uses = [];
        // Its name stands in their texts, and a row finds its texts by any part of them.
        $rows = $channel
            ->commands()
            ->with(['aliases', 'responses', 'expectations'])
            ->where('findable', 'like', '%'.addcslashes(Fold::caseless($from), '%_\\').'%')
            ->orderBy('trigger_folded')
            ->get();
        foreach ($rows as $row) {
            $command = CommandRepository::toCore($row);
            $texts = [];
            foreach ($command->sources() as $place => $text) {
                $renamed = Renaming::in($this->prepared->response($text), $kind->heads(), $from, $to);
                if ($renamed !== $text) {
                    $command = $command->withSource($place, $renamed);
                    $texts[] = [$text, $renamed];
                }
            }
            $renamed = $command->gated(
                ...$command->gates->renamed("{$kind->prefix()}.".Fold::caseless($from), $to)->given(),
            );
            if ($renamed->gates != $command->gates) {
                $texts[] = [$this->told($command), $this->told($renamed)];
                $command = $renamed;
            }
            if ($texts !== []) {
                $uses[] = ['row' => $row, 'command' => $command, 'texts' => $texts];
            }
        }

        return $uses;
    }

    private function told(Command $command): string
    {
        return $this->sentences->summary(CommandSummary::of($command, $this->prepared));
    }

    /** @param  list<array{row: CommandRow, command: Command, texts: list<array{string, string}>}>  $uses */
    public function save(Channel $channel, array $uses, User $by): void
    {
        foreach ($uses as $use) {
            $this->rows->save($channel, $use['row'], $use['command'], $by, $use['row']->revision);
        }
    }
}
