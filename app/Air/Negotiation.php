<?php

declare(strict_types=1);

namespace App\Air;

use SilverParrot\Chat\Wire\IrcLine;

/**
 * What is agreed on with a server before it welcomes: capabilities (IRCv3 capability negotiation 302), and who one is
 * (IRCv3 sasl, RFC 4616). It is done once; what a server says of it later, or beyond what was asked, changes nothing.
 */
final class Negotiation
{
    private const WANTED = ['message-tags', 'server-time', 'account-tag'];

    /** Bytes of all that a server may offer. */
    private const LONGEST_OFFER = 8_192;

    /** Bytes of a SASL answer in one line (IRCv3 sasl). */
    private const SASL_CHUNK = 400;

    private string $offered = '';

    private bool $hasChosen = false;

    private bool $isGranted = false;

    private bool $hasProved = false;

    /** @var list<string> */
    public array $capabilities = [];

    public function __construct(private readonly ChatAddress $address)
    {
    }

    /**
     * @return list<IrcLine>|null what is answered; null where this server cannot be signed in to, or goes on for ever
     */
    public function take(IrcLine $line): ?array
    {
        return match (true) {
            $line->command === 'AUTHENTICATE' => $this->prove(),
            $line->command === '903' => [new IrcLine('CAP', ['END'])],
            strtoupper($line->param(1)) === 'LS' && ! $this->hasChosen => $this->choose($line),
            strtoupper($line->param(1)) === 'ACK' && $this->hasChosen && ! $this->isGranted => $this->granted(
                $line->param(2),
            ),
            strtoupper($line->param(1)) === 'NAK' && $this->hasChosen && ! $this->isGranted => [
                new IrcLine('CAP', ['END']),
            ],
            default => [],
        };
    }

    public function has(string $capability): bool
    {
        return in_array($capability, $this->capabilities, true);
    }

    /** @return list<string> */
    private function wanted(): array
    {
        return $this->address->signIn === SignIn::Account ? [...self::WANTED, 'sasl'] : self::WANTED;
    }

    /** @return list<IrcLine>|null */
    private function choose(IrcLine $line): ?array
    {
        // A list that goes on has a "*" before its part.
        $goesOn = $line->param(2) === '*' && isset($line->params[3]);
        $this->offered .= ' '.$line->param($goesOn ? 3 : 2);
        if (strlen($this->offered) > self::LONGEST_OFFER) {
            return null;
        }
        if ($goesOn) {
            return [];
        }
        $names = array_map(
            static fn (string $one): string => explode('=', $one)[0],
            explode(' ', trim($this->offered)),
        );
        $both = array_values(array_intersect($this->wanted(), $names));
        $this->hasChosen = true;
        if ($this->address->signIn === SignIn::Account && ! in_array('sasl', $both, true)) {
            return null;
        }

        return [$both === [] ? new IrcLine('CAP', ['END']) : new IrcLine('CAP', ['REQ', implode(' ', $both)])];
    }

    /** @return list<IrcLine> */
    private function granted(string $names): array
    {
        $this->isGranted = true;
        $this->capabilities = array_values(array_intersect($this->wanted(), explode(' ', $names)));

        return [$this->has('sasl') ? new IrcLine('AUTHENTICATE', ['PLAIN']) : new IrcLine('CAP', ['END'])];
    }

    /** @return list<IrcLine> */
    private function prove(): array
    {
        // A secret is told once, and only where it was asked for.
        if ($this->hasProved || ! $this->has('sasl')) {
            return [];
        }
        $this->hasProved = true;
        $answer = base64_encode("\0{$this->address->account}\0{$this->address->secret}");
        $lines = array_map(
            static fn (string $chunk): IrcLine => new IrcLine('AUTHENTICATE', [$chunk]),
            str_split($answer, self::SASL_CHUNK),
        );

        return strlen($answer) % self::SASL_CHUNK === 0 ? [...$lines, new IrcLine('AUTHENTICATE', ['+'])] : $lines;
    }
}
