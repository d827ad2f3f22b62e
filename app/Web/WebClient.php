<?php

declare(strict_types=1);

namespace App\Web;

use Amp\Cancellation;
use Amp\CancelledException;
use Amp\Dns\DnsException;
use Amp\Dns\DnsRecord;
use Closure;
use SilverParrot\Lookup\Address\AddressRefusal;
use SilverParrot\Lookup\Address\AddressState;
use SilverParrot\Lookup\Address\LookedAt;
use SilverParrot\Lookup\Address\WebAddress;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\Trouble;
use Symfony\Component\DomCrawler\UriResolver;
use Symfony\Component\HttpClient\CurlHttpClient;
use Symfony\Component\HttpClient\NoPrivateNetworkHttpClient;
use Symfony\Contracts\HttpClient\Exception\ExceptionInterface;

use function Amp\Dns\resolve;

/**
 * Asks the web, and never what is near: each hop is judged, its name looked up once, and the address that was judged is
 * the one that is connected to. The loop goes on meanwhile.
 */
final class WebClient
{
    /** The harbour's own sources, the one exception: bound to its address and port. */
    public const HARBOUR = 'sources.harbour.example';

    private const REDIRECTS = 3;

    private const USER_AGENT = 'SilverParrot/1 (look-ups of a stream chat)';

    private readonly PolledClient $plain;

    private readonly PolledClient $guarded;

    /**
     * @param  string  $harbour  host and port of the harbour's sources; empty for none
     * @param  (Closure(string, Cancellation): list<string>)|null  $resolve  the addresses of a name; null to look them
     *     up
     */
    public function __construct(
        private readonly string $harbour = '',
        private readonly ?Closure $resolve = null,
    ) {
        $plain = new CurlHttpClient;
        $this->plain = new PolledClient($plain);
        $this->guarded = new PolledClient(new NoPrivateNetworkHttpClient($plain));
    }

    /**
     * @param  array<string, string>  $headers
     * @param  array<string, string>  $secret  headers that go to the first host alone
     * @param  Closure(string): bool  $isAllowed  whether a host may be asked
     */
    public function ask(
        string $address,
        array $headers,
        array $secret,
        Closure $isAllowed,
        Cancellation $within,
    ): Answer|Trouble {
        $to = WebAddress::of($address, anyPort: true, known: $this->known());
        $first = $to instanceof WebAddress ? $to->origin() : '';
        for ($hop = 0; $hop <= self::REDIRECTS; $hop++) {
            if ($to instanceof AddressRefusal || ! $isAllowed($to->allowedAs())) {
                return $hop === 0 ? Trouble::NotAllowed : Trouble::Moved;
            }
            $answer = $this->once(
                $to,
                'GET',
                $to->origin() === $first ? $headers + $secret : $headers,
                $within,
            );
            if ($answer instanceof Trouble || ! in_array($answer->status, [301, 302, 303, 307, 308], true)) {
                return $answer;
            }
            $next = WebAddress::of(
                UriResolver::resolve($answer->headers['location'] ?? '', $to->text()),
                anyPort: true,
                known: $this->known(),
            );
            if ($next instanceof WebAddress && $to->scheme === 'https' && $next->scheme !== 'https') {
                return Trouble::Moved;
            }
            $to = $next;
        }

        return Trouble::Moved;
    }

    /**
     * Whether an address still leads somewhere. Many servers do not know HEAD; those are asked in full.
     */
    public function lookAt(WebAddress $to, Cancellation $within): LookedAt
    {
        foreach (['HEAD', 'GET'] as $method) {
            try {
                $answer = $this->sent($to, $method, [], $within);
            } catch (CancelledException|DnsException) {
                return new LookedAt(AddressState::Fine);
            } catch (ExceptionInterface $refused) {
                $isUntrusted = preg_match('/certificate|SSL/i', $refused->getMessage()) === 1;

                return new LookedAt($isUntrusted ? AddressState::Certificate : AddressState::Fine);
            }
            if (! $answer instanceof Answer) {
                return new LookedAt(AddressState::Fine);
            }
            if ($method === 'GET' || ($answer->status < 400 || $answer->status > 599)) {
                $next = $answer->headers['location'] ?? '';
                $moved = $next === '' ? null : WebAddress::of(
                    UriResolver::resolve($next, $to->text()),
                    anyPort: true,
                    known: $this->known(),
                );

                return LookedAt::answered($answer->status, $moved instanceof WebAddress ? $moved->text() : '');
            }
        }

        return new LookedAt(AddressState::Fine);
    }

    /** @param  array<string, string>  $headers */
    private function once(WebAddress $to, string $method, array $headers, Cancellation $within): Answer|Trouble
    {
        try {
            return $this->sent($to, $method, $headers, $within);
        } catch (CancelledException) {
            return Trouble::Timeout;
        } catch (DnsException|ExceptionInterface) {
            return Trouble::Refused;
        }
    }

    /**
     * @param  array<string, string>  $headers
     *
     * @throws CancelledException|DnsException|ExceptionInterface
     */
    private function sent(WebAddress $to, string $method, array $headers, Cancellation $within): Answer|Trouble
    {
        $isHarbour = $to->host === self::HARBOUR;
        $within->throwIfRequested();
        $ip = $isHarbour ? '' : $this->place($to, $within);
        if ($ip === null || ($isHarbour && $this->harbour === '')) {
            return Trouble::NotAllowed;
        }

        return ($isHarbour ? $this->plain : $this->guarded)->send(
            $method,
            $isHarbour ? "http://{$this->harbour}/sources{$to->path}" : $to->text(),
            [
                'headers' => $headers + ['Accept' => '*/*', 'User-Agent' => self::USER_AGENT],
                'resolve' => $ip === '' ? [] : [$to->host => $ip],
            ],
            $within,
        );
    }

    /**
     * @return string|null the address that is connected to; null where one that the name leads to may not be asked
     *
     * @throws DnsException|CancelledException
     */
    private function place(WebAddress $to, Cancellation $within): ?string
    {
        if ($to->isNumber()) {
            return $to->host;
        }
        $addresses = $this->resolve === null
            ? self::lookedUp($to->host, $within)
            : ($this->resolve)($to->host, $within);

        return $to->leadingTo($addresses) === null ? $addresses[0] : null;
    }

    /**
     * @return list<string>
     *
     * @throws DnsException|CancelledException
     */
    private static function lookedUp(string $host, Cancellation $within): array
    {
        $addresses = [];
        /** @var DnsRecord $record */
        foreach (resolve($host, cancellation: $within) as $record) {
            $addresses[] = $record->getValue();
        }

        return $addresses;
    }

    /** @return list<string> */
    private function known(): array
    {
        return $this->harbour === '' ? [] : [self::HARBOUR];
    }
}
