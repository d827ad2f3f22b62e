<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Border\TrustedHosts;
use App\Models\User;
use Illuminate\Contracts\Config\Repository;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;

/** Who may register: everybody on a machine of one's own; elsewhere whoever is invited, unless it is set otherwise. */
final readonly class Registration
{
    private const INVITED_BY = 'invitation';

    public function __construct(private Repository $config, private Invitations $invitations)
    {
    }

    public function isOpen(): bool
    {
        $set = $this->config->string('accounts.registration');

        return $set === '' ? TrustedHosts::isAtHome() : $set === 'open';
    }

    public function mayRegister(Request $request): bool
    {
        $token = $request->session()->get(self::INVITED_BY);

        return $this->isOpen() || (is_string($token) && $this->invitations->find($token) !== null);
    }

    /** Whoever holds an invitation may register, too. */
    public function allow(Request $request, string $token): void
    {
        $request->session()->put(self::INVITED_BY, $token);
    }

    /** The same work and the same answer whether the address is known here or not. */
    public function register(string $name, string $email, string $password): void
    {
        $hash = Hash::make($password);
        $email = Str::lower($email);
        try {
            User::query()->forceCreate(['name' => $name, 'email' => $email, 'password' => $hash]);
        } catch (UniqueConstraintViolationException) {
            // It is known; that is told to nobody.
        }
    }
}
