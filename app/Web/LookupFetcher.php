<?php

declare(strict_types=1);

namespace App\Web;

use Amp\Cancellation;
use Amp\CancelledException;
use Amp\Future;
use Closure;
use Illuminate\Contracts\Encryption\Encrypter;
use Illuminate\Database\Connection;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\Header;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\ReadAnswer;
use SilverParrot\Lookup\Trouble;
use SilverParrot\Value\Moment;

use function Amp\async;
use function Amp\delay;

/**
 * Answers of one channel's sources: as they are kept, else asked for, whoever may be asked; equal questions at the same
 * time are asked once, whichever process asks them.
 */
final class LookupFetcher
{
    /** Seconds between two looks at what another process was told. */
    private const LOOKS = 0.05;

    /** Bytes of a secret: a shorter one is taken for a word where a source says it again. */
    private const SECRET_AT_LEAST = 6;

    /** @var array<string, Future<Answer|Trouble>> under way, by what is asked */
    private array $asked = [];

    public function __construct(
        private readonly int $channel,
        private readonly WebClient $web,
        private readonly KeptAnswers $kept,
        private readonly Hosts $hosts,
        private readonly RecordedAnswers $recorded,
        private readonly Secrets $secrets,
    ) {
    }

    public static function of(Connection $connection, int $channel, WebClient $web): self
    {
        return new self(
            $channel,
            $web,
            new KeptAnswers($connection),
            new Hosts($connection),
            new RecordedAnswers($connection),
            new Secrets($connection, app(Encrypter::class)),
        );
    }

    /** As it is kept and fresh, else as the source says it now, else as it was a while ago. */
    public function answer(AskedAddress $asked, Cancellation $within): Answer|Trouble
    {
        $kept = $this->kept->find($this->channel, $asked->key, self::now());
        if ($kept !== null && $kept[1]) {
            $this->hosts->fromKept($this->channel, WebLookups::host($asked->address));

            return $kept[0];
        }
        $answer = $this->once($asked, $kept[0] ?? null, $within);
        $isDown = $answer instanceof Trouble || $answer->status >= 400;

        return $isDown && $kept !== null ? $kept[0] : $answer;
    }

    /**
     * Before anybody needs it.
     *
     * @param  int  $age  seconds, beyond which what is kept is asked for anew
     * @return Answer|null null where nothing was asked, or nothing came
     */
    public function ahead(AskedAddress $asked, int $age, Cancellation $within): ?Answer
    {
        $kept = $this->kept->find($this->channel, $asked->key, self::now());
        if ($kept !== null && self::now()->millis - $kept[0]->at->millis < $age * 1_000) {
            return null;
        }
        $answer = $this->once($asked, $kept[0] ?? null, $within);

        return $answer instanceof Answer ? $answer : null;
    }

    /**
     * Now, whatever is kept.
     *
     * @param  array<string, string>  $typed  secrets that are not saved, by what they are kept under
     */
    public function afresh(AskedAddress $asked, Cancellation $within, array $typed = []): Answer|Trouble
    {
        return $this->fetch($asked, null, $within, $typed);
    }

    /** What was read from an answer that is too large to be recorded whole. */
    public function record(AskedAddress $asked, Answer $answer, ReadAnswer $read): void
    {
        if (strlen($answer->body) > RecordedAnswers::LARGEST) {
            $this->recorded->keep($this->channel, $asked->lookup, $asked->arguments, $answer, $read);
        }
    }

    /** Whoever asks the same meanwhile has the same answer. */
    private function once(AskedAddress $asked, ?Answer $before, Cancellation $within): Answer|Trouble
    {
        $this->asked[$asked->key] ??= async(function () use ($asked, $before, $within): Answer|Trouble {
            try {
                return $this->alone(
                    $asked->key,
                    fn (): Answer|Trouble => $this->fetch($asked, $before, $within),
                    $within,
                );
            } finally {
                unset($this->asked[$asked->key]);
            }
        });

        /** @var Answer|Trouble $answer */
        $answer = $this->asked[$asked->key]->await();

        return $answer;
    }

    /**
     * Another process may be asking the same just now: what it is told is waited for.
     *
     * @param  Closure(): (Answer|Trouble)  $fetch
     */
    private function alone(string $key, Closure $fetch, Cancellation $within): Answer|Trouble
    {
        $hasWaited = false;
        while (! $this->kept->begin($this->channel, $key)) {
            $hasWaited = true;
            try {
                delay(self::LOOKS, cancellation: $within);
            } catch (CancelledException) {
                return Trouble::Timeout;
            }
        }
        try {
            $kept = $hasWaited ? $this->kept->find($this->channel, $key, self::now()) : null;

            return $kept !== null && $kept[1] ? $kept[0] : $fetch();
        } finally {
            $this->kept->end($this->channel, $key);
        }
    }

    /**
     * @param  Answer|null  $before  which it may say is as it was (RFC 9110, 13.1)
     * @param  array<string, string>  $typed  secrets, by what they are kept under
     */
    private function fetch(
        AskedAddress $asked,
        ?Answer $before,
        Cancellation $within,
        array $typed = [],
    ): Answer|Trouble {
        $lookup = $asked->lookup;
        $allowed = $this->hosts->allowed($this->channel);
        $host = WebLookups::host($asked->address);
        if (! in_array($host, $allowed, true)) {
            return Trouble::NotAllowed;
        }
        $refused = $this->hosts->take($this->channel, $host, self::now());
        if ($refused !== null) {
            return $refused;
        }
        $secrets = $this->secretsFor($lookup, $host, $typed);
        $answer = $this->web->ask(
            $this->whole($asked, $secrets),
            self::headers($lookup, $before),
            array_intersect_key($secrets, array_flip(array_column($lookup->headers, 'name'))),
            static fn (string $host): bool => in_array($host, $allowed, true),
            $within,
        );
        if ($answer instanceof Answer && $answer->status === 304 && $before !== null) {
            $answer = new Answer($before->status, $answer->headers + $before->headers, $before->body, $answer->at);
        }
        $answer = $answer instanceof Answer ? self::without($secrets, $answer) : $answer;
        $this->hosts->told($this->channel, $host, $answer, self::now());
        if ($answer instanceof Answer && $answer->status >= 200 && $answer->status < 300) {
            $this->kept->keep($this->channel, $asked->key, $answer, $lookup->keep);
            $this->recorded->keep($this->channel, $lookup, $asked->arguments, $answer);
        }

        return $answer;
    }

    /**
     * @param  array<string, string>  $typed
     * @return array<string, string> by what they are kept under
     */
    private function secretsFor(Lookup $lookup, string $host, array $typed): array
    {
        $names = array_map(Secrets::ofParameter(...), $lookup->secretParameters());
        foreach ($lookup->headers as $header) {
            $names = $header->isSecret ? [...$names, $header->name] : $names;
        }

        return array_intersect_key($typed, array_flip($names))
            + $this->secrets->of($this->channel, $lookup->id, $names, $host);
    }

    /** @param  array<string, string>  $secrets */
    private function whole(AskedAddress $asked, array $secrets): string
    {
        $values = [];
        foreach ($asked->lookup->secretParameters() as $name) {
            $values[$name] = $secrets[Secrets::ofParameter($name)] ?? '';
        }
        $whole = $values === [] ? $asked->address : $asked->lookup->addressWith($asked->arguments, $values);

        return is_string($whole) ? $whole : $asked->address;
    }

    /** @return array<string, string> by name, without the secret ones */
    private static function headers(Lookup $lookup, ?Answer $before): array
    {
        $headers = [];
        foreach ($lookup->headers as $header) {
            $headers += $header->isSecret ? [] : [$header->name => $header->value];
        }

        return $headers + ($before === null ? [] : array_filter([
            'If-None-Match' => $before->headers['etag'] ?? '',
            'If-Modified-Since' => $before->headers['last-modified'] ?? '',
        ], Header::isValue(...)));
    }

    /**
     * A source may say again what it was told: then nobody is to hear it, nor read it where it is kept.
     *
     * @param  array<string, string>  $secrets
     */
    private static function without(array $secrets, Answer $answer): Answer
    {
        $written = [];
        foreach ($secrets as $secret) {
            if (strlen($secret) >= self::SECRET_AT_LEAST) {
                $json = substr((string) json_encode($secret), 1, -1);
                array_push($written, $secret, rawurlencode($secret), $json, htmlspecialchars($secret, ENT_QUOTES));
            }
        }

        return $written === [] ? $answer : new Answer(
            $answer->status,
            $answer->headers,
            str_replace($written, Lookup::SECRET, $answer->body),
            $answer->at,
        );
    }

    private static function now(): Moment
    {
        return Moment::of(now());
    }
}
