<?php

declare(strict_types=1);

namespace App\Air;

use SilverParrot\Chat\Wire\IrcLine;

/** One channel of a chat server: whether the talker is in, who else is, and who has which rights there. */
final class ChatRoster
{
    public bool $isJoined = false;

    public bool $isLeft = false;

    /** People who are kept as being here; a chat with more is told of by its lines alone. */
    private const MOST_HERE = 20_000;

    /** Bytes; nobody who has a longer one, or one of other bytes, is known by it. */
    private const LONGEST_NICK = 60;

    /** @var array<string, true> nicks in lower case, the talker's own among them */
    private array $here = [];

    private bool $isListed = false;

    /** People with rights whose rights are known; no channel has more. */
    private const MOST = 2_000;

    /**
     * @var array<string, string> "o" for operators, "v" for who has a voice, or both; by nick in lower case. Who has
     *     neither is not kept
     */
    private array $modes = [];

    /** @param  string  $channel with its sign */
    public function take(IrcLine $line, string $channel, string $ownNick): void
    {
        $nick = strtolower($line->nick());
        $where = ['353' => 2, '366' => 1][$line->command] ?? 0;
        $isHere = strcasecmp($line->param($where), $channel) === 0;
        $isOwn = strcasecmp($nick, $ownNick) === 0;
        match (true) {
            $line->command === 'QUIT' => $this->gone($nick),
            $line->command === 'NICK' => $this->rename($nick, strtolower($line->param(0))),
            ! $isHere => null,
            $line->command === '353' => $this->names($line->param(3)),
            $line->command === '366' => $this->isJoined = $this->isListed = true,
            $line->command === 'JOIN' => $this->comes($nick, $isOwn),
            $line->command === 'PART' && $isOwn => null,
            $line->command === 'PART' => $this->gone($nick),
            $line->command === 'KICK' => $this->sentAway(strtolower($line->param(1)), strtolower($ownNick)),
            $line->command === 'MODE' => $this->mode($line),
            default => null,
        };
    }

    /**
     * @return list<string>|null folded nicks, the talker's own among them; null where the chat has told of nobody but
     *     the talker, or of more than are kept
     */
    public function listed(): ?array
    {
        return $this->isListed && count($this->here) > 1 && count($this->here) < self::MOST_HERE
            ? array_map(strval(...), array_keys($this->here))
            : null;
    }

    public function holds(string $nick): bool
    {
        return isset($this->here[strtolower($nick)]);
    }

    public function isOperator(string $nick): bool
    {
        return str_contains($this->modes[strtolower($nick)] ?? '', 'o');
    }

    public function hasVoice(string $nick): bool
    {
        return str_contains($this->modes[strtolower($nick)] ?? '', 'v');
    }

    private function names(string $names): void
    {
        foreach (array_filter(explode(' ', $names)) as $name) {
            $nick = ltrim($name, '~&@%+');
            $this->comes(strtolower($nick), false);
            $signs = substr($name, 0, strlen($name) - strlen($nick));
            $this->give(
                strtolower($nick),
                (strpbrk($signs, '~&@') !== false ? 'o' : '').(str_contains($signs, '+') ? 'v' : ''),
            );
        }
    }

    private function comes(string $nick, bool $isOwn): void
    {
        $this->isJoined = $this->isJoined || $isOwn;
        $isOne = $nick !== '' && strlen($nick) <= self::LONGEST_NICK && mb_check_encoding($nick, 'UTF-8');
        if ($isOne && count($this->here) < self::MOST_HERE) {
            $this->here[$nick] = true;
        }
    }

    private function gone(string $nick): void
    {
        unset($this->modes[$nick], $this->here[$nick]);
    }

    private function give(string $nick, string $modes): void
    {
        if ($modes === '') {
            unset($this->modes[$nick]);
        } elseif (isset($this->modes[$nick]) || count($this->modes) < self::MOST) {
            $this->modes[$nick] = $modes;
        }
    }

    private function rename(string $from, string $to): void
    {
        if (isset($this->here[$from])) {
            unset($this->here[$from]);
            $this->comes($to, false);
        }
        if (isset($this->modes[$from])) {
            $modes = $this->modes[$from];
            unset($this->modes[$from]);
            $this->give($to, $modes);
        }
    }

    private function sentAway(string $nick, string $ownNick): void
    {
        $this->gone($nick);
        $this->isLeft = $this->isLeft || $nick === $ownNick;
    }

    private function mode(IrcLine $line): void
    {
        $adds = true;
        $next = 2;
        foreach (str_split($line->param(1)) as $letter) {
            if ($letter === '+' || $letter === '-') {
                $adds = $letter === '+';
            } elseif ($letter === 'o' || $letter === 'v') {
                $nick = strtolower($line->param($next++));
                $others = str_replace($letter, '', $this->modes[$nick] ?? '');
                $this->give($nick, $adds ? $others.$letter : $others);
            } elseif (str_contains('beIqahkl', $letter) && ($adds || $letter !== 'l')) {
                // These have a word of their own behind them (RFC 2811, 4; `l` only where it is set).
                $next++;
            }
        }
    }
}
