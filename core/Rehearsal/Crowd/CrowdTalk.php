<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd;

use SilverParrot\Hearing\Phrases\PhraseIndex;
use SilverParrot\Pack\Pack;

/** What a crowd talks with: words that ship, the pack's triggers and phrases, the words of a log, and each other. */
final class CrowdTalk
{
    /** @var list<string> */
    public readonly array $triggers;

    /** @var list<string> as their authors wrote them */
    public readonly array $phrases;

    /** @var list<string> */
    public readonly array $emotes;

    /** Who greeted last; empty once they were greeted back. */
    public string $greeter = '';

    /** @var list<array{int, string}> what the same person writes next: after so many milliseconds */
    public array $next = [];

    /**
     * @param  list<string>  $log  lines of a real chat, from whose words is taken what is said by the way
     * @param  non-empty-list<CrowdPerson>  $people
     */
    public function __construct(
        public readonly Luck $luck,
        Pack $pack,
        public readonly array $log,
        public readonly array $people,
    ) {
        $triggers = [];
        foreach ($pack->commands as $command) {
            if ($command->isOn() && $command->trigger !== '') {
                $triggers[] = $command->trigger;
            }
        }
        $this->triggers = $triggers;
        $this->phrases = array_map(static fn (array $one): string => $one[1]->text, PhraseIndex::inOrder($pack));
        $this->emotes = $pack->emotes === []
            ? CrowdWords::FACES
            : array_column($pack->emotes, 'word');
    }

    /** Somebody of the crowd, as they are written to. */
    public function name(): string
    {
        return $this->luck->one($this->people)->person->name;
    }

    /** Something said by the way. */
    public function chatter(): string
    {
        if ($this->log !== [] && $this->luck->whole(0, 3) > 0) {
            return $this->log[$this->luck->whole(0, count($this->log) - 1)];
        }

        return $this->filled($this->luck->one(CrowdWords::CHATTER));
    }

    /** Each part in braces is one of the words of its kind. */
    public function filled(string $sentence): string
    {
        return preg_replace_callback(
            '/\{([a-z]+)\}/',
            fn (array $part): string => $part[1] === 'name'
                ? $this->name()
                : $this->luck->one(CrowdWords::KINDS[$part[1]] ?? [$part[1]]),
            $sentence,
        ) ?? $sentence;
    }
}
