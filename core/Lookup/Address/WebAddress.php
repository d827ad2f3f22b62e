<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Address;

use SilverParrot\Lookup\NearNetworks;

/**
 * An address that may be asked, taken apart: what is connected to is what was judged. Source: RFC 3986 for its parts,
 * the WHATWG URL standard for what else may stand for an IPv4 address (hosts that end in a number), RFC 6761 and RFC
 * 8375 for names of special use.
 */
final readonly class WebAddress
{
    /** Characters of one. */
    public const LONGEST = 2_000;

    private const LONGEST_HOST = 253;

    /** Names that lead nowhere in the world, and all below them. */
    private const NEAR_NAMES = [
        'localhost', 'local', 'localdomain', 'internal', 'intranet', 'private', 'corp', 'home', 'lan', 'home.arpa',
        'in-addr.arpa', 'ip6.arpa', 'test', 'example', 'invalid', 'onion', 'alt',
    ];

    private const PORTS = ['http' => 80, 'https' => 443];

    /**
     * Ports that other protocols live at: whoever answers there might take what is asked for theirs. Source: the bad
     * ports of the WHATWG Fetch standard.
     */
    private const BAD_PORTS = [
        1, 7, 9, 11, 13, 15, 17, 19, 20, 21, 22, 23, 25, 37, 42, 43, 53, 69, 77, 79, 87, 95, 101, 102, 103, 104, 109,
        110, 111, 113, 115, 117, 119, 123, 135, 137, 139, 143, 161, 179, 389, 427, 465, 512, 513, 514, 515, 526, 530,
        531, 532, 540, 548, 554, 556, 563, 587, 601, 636, 989, 990, 993, 995, 1719, 1720, 1723, 2049, 3659, 4045, 4190,
        5060, 5061, 6000, 6566, 6665, 6666, 6667, 6668, 6669, 6679, 6697, 10080,
    ];

    /**
     * @param  string  $host  in ASCII and lower case, without a dot at its end; an IPv6 address without brackets
     * @param  string  $path  with the query, as it goes out
     */
    private function __construct(
        public string $scheme,
        public string $host,
        public int $port,
        public string $path,
    ) {
    }

    /**
     * @param  bool  $anyPort  whether another port than the web's own may be asked, once it is allowed with the host
     * @param  list<string>  $known  names of special use that are somebody's here all the same
     */
    public static function of(string $address, bool $anyPort = false, array $known = []): self|AddressRefusal
    {
        if (mb_strlen($address, '8bit') > 4 * self::LONGEST || mb_strlen($address) > self::LONGEST) {
            return AddressRefusal::TooLong;
        }
        if (! mb_check_encoding($address, 'UTF-8') || preg_match('/[\p{C}\p{Z}\\\\]/u', $address) === 1) {
            return AddressRefusal::Signs;
        }
        if (preg_match('~^https?://~i', $address) !== 1) {
            return AddressRefusal::NotWeb;
        }
        [$scheme, $rest] = explode('://', explode('#', $address, 2)[0], 2);
        $scheme = strtolower($scheme);
        [$before, $query] = explode('?', $rest, 2) + ['', ''];
        [$at, $path] = explode('/', $before, 2) + ['', ''];
        if (str_contains($at, '@')) {
            return AddressRefusal::UserInfo;
        }
        if (preg_match('/^(\[[^\]]*\]|[^:\[\]]*)(?::(\d{0,5}))?$/D', $at, $authority) !== 1) {
            return AddressRefusal::Host;
        }
        $host = in_array(strtolower($authority[1]), $known, true)
            ? strtolower($authority[1])
            : self::host($authority[1]);
        if ($host instanceof AddressRefusal) {
            return $host;
        }
        $port = ($authority[2] ?? '') === '' ? self::PORTS[$scheme] : (int) $authority[2];
        if (! in_array($port, self::PORTS, true) && (! $anyPort || ! self::isForTheWeb($port))) {
            return $anyPort ? AddressRefusal::OtherPort : AddressRefusal::Port;
        }
        if (preg_match('~(?:^|/)(?:\.|%2e){1,2}(?:/|$)~i', $path) === 1) {
            return AddressRefusal::Dots;
        }

        return new self($scheme, $host, $port, "/$path".(str_contains($rest, '?') ? "?$query" : ''));
    }

    /**
     * Whether what its name leads to may be asked: every one of its addresses, since any may be taken.
     *
     * @param  list<string>  $addresses
     */
    public function leadingTo(array $addresses): ?AddressRefusal
    {
        $isFar = $addresses !== [] && array_filter($addresses, NearNetworks::allows(...)) === $addresses;

        return $isFar ? null : AddressRefusal::LeadsNear;
    }

    public function isNumber(): bool
    {
        return filter_var($this->host, FILTER_VALIDATE_IP) !== false;
    }

    /** The address as it goes out, without what stays here. */
    public function text(): string
    {
        return "{$this->origin()}{$this->path}";
    }

    /** Scheme, host and port, the last where it is not the usual one. */
    public function origin(): string
    {
        $host = str_contains($this->host, ':') ? "[{$this->host}]" : $this->host;

        return "{$this->scheme}://$host".($this->port === self::PORTS[$this->scheme] ? '' : ":{$this->port}");
    }

    /** What a streamer allows: the host, with the port where it is not the web's own. */
    public function allowedAs(): string
    {
        return $this->host.(in_array($this->port, self::PORTS, true) ? '' : ":{$this->port}");
    }

    private static function isForTheWeb(int $port): bool
    {
        return $port > 0 && $port < 65_536 && ! in_array($port, self::BAD_PORTS, true);
    }

    private static function host(string $written): string|AddressRefusal
    {
        if (str_starts_with($written, '[')) {
            $address = trim($written, '[]');
            $bytes = filter_var($address, FILTER_VALIDATE_IP, FILTER_FLAG_IPV6) === false ? false : inet_pton($address);

            return match (true) {
                $bytes === false => AddressRefusal::Host,
                ! NearNetworks::allows($address) => AddressRefusal::Near,
                default => (string) inet_ntop($bytes),
            };
        }
        // Whatever a browser or a resolver would make of it: percent-encoded, full-width, another script's dot.
        $name = rawurldecode($written);
        $ascii = $name === '' || ! mb_check_encoding($name, 'UTF-8')
            ? false
            : idn_to_ascii($name, IDNA_DEFAULT | IDNA_NONTRANSITIONAL_TO_ASCII, INTL_IDNA_VARIANT_UTS46);
        $host = rtrim(strtolower(is_string($ascii) ? $ascii : ''), '.');
        if (
            $host === ''
            || strlen($host) > self::LONGEST_HOST
            || preg_match('/^(?:(?!-)[a-z0-9_-]{1,63}(?<!-)(?:\.|$))+$/D', $host) !== 1
        ) {
            return AddressRefusal::Host;
        }
        $labels = explode('.', $host);
        if (preg_match('/^(?:\d+|0x[0-9a-f]*)$/D', (string) end($labels)) === 1) {
            return self::numbered($host, $written);
        }
        for ($from = 0; $from < count($labels); $from++) {
            if (in_array(implode('.', array_slice($labels, $from)), self::NEAR_NAMES, true)) {
                return AddressRefusal::NearName;
            }
        }

        return count($labels) < 2 ? AddressRefusal::NearName : $host;
    }

    /** A host that ends in a number is an IPv4 address, or nothing. */
    private static function numbered(string $host, string $written): string|AddressRefusal
    {
        $parts = explode('.', $host);
        $numbers = array_map(self::number(...), $parts);
        $last = array_pop($numbers);
        if (count($parts) > 4 || $last === null || $last >= 256 ** (5 - count($parts))) {
            return AddressRefusal::Spelling;
        }
        $whole = $last;
        foreach ($numbers as $place => $number) {
            if ($number === null || $number > 255) {
                return AddressRefusal::Spelling;
            }
            $whole += $number * 256 ** (3 - $place);
        }
        $plain = long2ip((int) $whole);

        return match (true) {
            ! NearNetworks::allows((string) $plain) => AddressRefusal::Near,
            $plain !== $written => AddressRefusal::Spelling,
            default => $plain,
        };
    }

    private static function number(string $part): ?int
    {
        return match (true) {
            preg_match('/^0x([0-9a-f]{0,8})$/D', $part, $found) === 1 => (int) hexdec("0$found[1]"),
            preg_match('/^0[0-7]{1,12}$/D', $part) === 1 => (int) octdec($part),
            preg_match('/^\d{1,10}$/D', $part) === 1 && ($part === '0' || $part[0] !== '0') => (int) $part,
            default => null,
        };
    }
}
