<?php

declare(strict_types=1);

namespace Harbour;

/** Who may sign in, and whether one must. Without any account everybody is who they say they are. */
final readonly class Accounts
{
    /** @param  array<string, string>  $secrets by account */
    private function __construct(private array $secrets, private string $password)
    {
    }

    /**
     * @param  string  $accounts  "name:secret,name:secret"
     * @param  string  $password  that every connection must give first; empty for none
     */
    public static function of(string $accounts, string $password): self
    {
        $secrets = [];
        foreach (array_filter(explode(',', $accounts), static fn (string $one): bool => $one !== '') as $one) {
            [$name, $secret] = explode(':', $one, 2) + [1 => ''];
            $secrets[strtolower($name)] = $secret;
        }

        return new self($secrets, $password);
    }

    public function offersSignIn(): bool
    {
        return $this->secrets !== [];
    }

    public function admits(Client $client): bool
    {
        return ($this->password === '' || hash_equals($this->password, $client->password))
            && ($this->secrets === [] || $client->account !== '');
    }

    /** @return string|null the account that the answer of SASL PLAIN proves (RFC 4616); null where it proves none */
    public function proved(string $answer): ?string
    {
        $parts = explode("\0", (string) base64_decode($answer, true));
        $account = strtolower($parts[1] ?? '');

        return count($parts) === 3
            && isset($this->secrets[$account])
            && hash_equals($this->secrets[$account], $parts[2])
            ? $account
            : null;
    }
}
