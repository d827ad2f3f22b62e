<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Border\OfItsChannel;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;

/** Who is let into a channel, as it was typed. */
final class InvitationRequest extends FormRequest
{
    use OfItsChannel;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'email' => ['nullable', 'string', 'email', 'max:255'],
            'role' => ['required', 'string', Rule::enum(Role::class)->except(Role::Streamer)],
        ];
    }

    /** @return list<Closure(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            if ($this->channel()->invitations()->where('expires_at', '>', now())->count() >= Invitations::MOST) {
                $validator->errors()->add(
                    'role',
                    'There are '.Invitations::MOST.' invitations already. Withdraw some first.',
                );
            }
        }];
    }

    public function role(): Role
    {
        return $this->enum('role', Role::class) ?? Role::Reader;
    }

    public function email(): string
    {
        return $this->string('email')->value();
    }
}
