<?php

declare(strict_types=1);

namespace App\Publish;

use App\Air\SignIn;
use App\Border\OfItsChannel;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;

/** Where the parrot speaks, as it was typed. The secret is never shown again, and not kept over from an old server. */
final class ConnectionRequest extends FormRequest
{
    use OfItsChannel;

    private const HOST = '/^(?=.{1,253}$)(?:[A-Za-z0-9](?:[A-Za-z0-9-]{0,62})\.)*[A-Za-z0-9][A-Za-z0-9-]{0,62}$/D';

    private const LONGEST_SECRET = 500;

    protected function prepareForValidation(): void
    {
        $text = fn (string $name): string => $this->string($name)->trim()->value();
        $this->merge([
            'host' => mb_strtolower($text('host')),
            'port' => $text('port'),
            'room' => ltrim(mb_strtolower($text('room')), '#'),
            'nick' => $text('nick'),
            'account' => $text('account'),
        ]);
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $ofAServer = 'exclude_unless:where,server';
        $needsAccount = Rule::requiredIf($this->enum('sign_in', SignIn::class) === SignIn::Account);

        return [
            'where' => ['required', 'in:harbour,server'],
            'seen' => ['integer'],
            'host' => [$ofAServer, 'bail', 'required', 'regex:'.self::HOST],
            'port' => [$ofAServer, 'bail', 'required', 'regex:/^\d{1,5}$/D', 'integer', 'between:1,65535'],
            'tls' => [$ofAServer, 'boolean'],
            'room' => [$ofAServer, 'bail', 'required', 'regex:/^[^\s,:\x00-\x1F#]{1,49}$/Du'],
            'nick' => [$ofAServer, 'bail', 'required', 'regex:/^[A-Za-z_][A-Za-z0-9_-]{0,29}$/D'],
            'sign_in' => [$ofAServer, 'bail', 'required', Rule::enum(SignIn::class)],
            'account' => [$ofAServer, 'bail', $needsAccount, 'nullable', 'regex:/^[^\x00-\x20]*+$/D', 'max:100'],
            'secret' => [$ofAServer, 'exclude_if:sign_in,none', 'nullable', 'string'],
        ];
    }

    /** @return list<Closure(Validator): void> */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                $signIn = $this->enum('sign_in', SignIn::class);
                $problem =
                    $this->isHarbour() || $signIn === null || $signIn === SignIn::None ? null : $this->secretProblem();
                if ($problem !== null) {
                    $validator->errors()->add('secret', $problem);
                }
            },
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $port = 'A port is a whole number from 1 to 65535; chats with TLS mostly have 6697.';
        $room = 'The channel there has a name of 1 to 49 signs, without spaces and commas.';
        $nick = 'The parrot’s name there has 1 to 30 letters, digits, “_” and “-”, and begins with a letter.';

        return [
            'host.required' => 'Name the chat server, like chat.lantern-cove.example.',
            'host.regex' => 'A server’s name has letters, digits, dots and hyphens only, without a port and without '
                .'“://”.',
            'port.*' => $port,
            'room.*' => $room,
            'nick.*' => $nick,
            'sign_in.*' => 'Choose how the parrot signs in.',
            'account.*' => 'Signing in needs the account’s name, without spaces.',
        ];
    }

    /**
     * @return array{chat_server: array{host: string, port: int, tls: bool, nick: string, room: string,
     *     sign_in: string, account: string}|null, chat_secret: string|null} the channel's columns
     */
    public function columns(): array
    {
        if ($this->isHarbour()) {
            return ['chat_server' => null, 'chat_secret' => null];
        }
        $signIn = $this->enum('sign_in', SignIn::class) ?? SignIn::None;
        $secret = $this->string('secret')->value();

        return [
            'chat_server' => [
                'host' => $this->string('host')->value(),
                'port' => $this->integer('port'),
                'tls' => $this->boolean('tls'),
                'nick' => $this->string('nick')->value(),
                'room' => $this->string('room')->value(),
                'sign_in' => $signIn->value,
                'account' => $this->string('account')->value(),
            ],
            'chat_secret' => match (true) {
                $signIn === SignIn::None => null,
                $secret !== '' => $secret,
                default => $this->channel()->chat_secret,
            },
        ];
    }

    public function isHarbour(): bool
    {
        return $this->string('where')->value() === 'harbour';
    }

    /** A secret goes over an encrypted connection only, and to nobody but whom it was given for. */
    private function secretProblem(): ?string
    {
        $secret = $this->string('secret')->value();

        return match (true) {
            ! $this->boolean('tls') => 'A secret travels over an encrypted connection only: choose TLS.',
            strlen($secret) > self::LONGEST_SECRET,
            preg_match('/[\x00\r\n]/', $secret) === 1 => 'A secret has at most '.self::LONGEST_SECRET
                .' signs on one line.',
            $secret === '' && ! $this->goesToTheSame() => 'Give the secret, again if the server or the '
                .'account changed: it is never sent anywhere else than where it was meant for.',
            default => null,
        };
    }

    /** Whether the secret that is kept was meant for this server and account. */
    private function goesToTheSame(): bool
    {
        $channel = $this->channel();
        $server = $channel->chat_server;

        return $server !== null
            && $channel->chat_secret !== null
            && $server['host'] === $this->string('host')->value()
            && $server['port'] === $this->integer('port')
            && $server['account'] === $this->string('account')->value()
            && $server['sign_in'] === $this->string('sign_in')->value()
            && $server['tls'];
    }
}
