<?php

declare(strict_types=1);

namespace Harbour;

/**
 * Tame web sources, with which look-ups can be seen without a network: a tide table by port (JSON, in two steps: find
 * the port, then its tide), weather (XML), a shop page with a price (HTML), what somebody has done in the yard, which
 * grows (JSON, with a key in a header or in the address), news of the yard (Atom) and a word of the day (plain text).
 */
final class Sources
{
    /** Shown to be told what somebody has done. */
    public const KEY = 'a-key-of-the-yard';

    /** Hours from one high water to the next, and a half of them to the low. */
    private const TIDE_SECONDS = 44_714;

    private const PORTS = [17 => 'Porth', 18 => 'Porth Wen', 23 => 'Tregarn', 31 => 'Lantern Cove', 40 => 'Skerry'];

    private const WORDS = ['bowsprit', 'thwart', 'garboard', 'strake', 'futtock', 'carvel', 'treenail'];

    private const SPARS = [
        'a spar at the bow', 'a seat across', 'the lowest plank', 'a line of planks', 'a part of a rib',
        'planks edge to edge', 'a wooden nail',
    ];

    /** @var array<string, int> how often each was asked */
    public array $asked = [];

    /** @var array<string, array{string, float}> a trouble and until when, by source; "" for all */
    private array $troubles = [];

    public function trouble(string $source, string $kind, float $seconds): void
    {
        $this->troubles[$source] = [$kind, hrtime(true) / 1e9 + $seconds];
    }

    /**
     * @param  array<array-key, string>  $query
     * @return array{int, array<string, string>, string, float} status, headers, body, and seconds that it takes
     */
    public function answer(string $path, array $query, string $key, int $now): array
    {
        $parts = explode('/', trim($path, '/'));
        $source = $parts[0];
        $this->asked[$source] = ($this->asked[$source] ?? 0) + 1;
        $answer = match ($source) {
            'ports' => self::json(200, ['ports' => self::ports($query['name'] ?? '')]),
            'tides' => self::tides((int) ($parts[1] ?? '0'), $now),
            'weather' => [200, ['Content-Type' => 'application/xml'], self::weather($now), 0.0],
            'shop' => [200, ['Content-Type' => 'text/html; charset=utf-8'], self::shop(), 0.0],
            'crew' => self::crew($parts[1] ?? '', $key === '' ? $query['key'] ?? '' : $key, $now),
            'news' => [200, ['Content-Type' => 'application/atom+xml'], self::news($now), 0.0],
            'word' => [200, ['Content-Type' => 'text/plain; charset=utf-8'], self::word($now), 0.0],
            'chandler' => [301, ['Location' => 'https://sources.harbour.example/shop'], '', 0.0],
            'asked' => self::json(200, $this->asked),
            default => self::json(404, ['error' => 'not found']),
        };

        return $this->troubled($source, $answer);
    }

    /**
     * @param  array{int, array<string, string>, string, float}  $answer
     * @return array{int, array<string, string>, string, float}
     */
    private function troubled(string $source, array $answer): array
    {
        [$kind, $until] = $this->troubles[$source] ?? $this->troubles[''] ?? ['', 0.0];

        return $until <= hrtime(true) / 1e9 ? $answer : match ($kind) {
            'slow' => [$answer[0], $answer[1], $answer[2], 2.0],
            'timeout' => [$answer[0], $answer[1], $answer[2], 10.0],
            'refused' => [503, ['Retry-After' => '5'], 'closed', 0.0],
            'error_page' => [200, ['Content-Type' => 'text/html'], '<!doctype html><h1>Gone fishing</h1>', 0.0],
            'broken' => [$answer[0], $answer[1], substr($answer[2], 0, intdiv(strlen($answer[2]), 2)), 0.0],
            'missing' => self::json(200, ['note' => 'nothing today']),
            'too_large' => [200, $answer[1], str_repeat(' ', 2_000_000), 0.0],
            'moved' => [301, ['Location' => 'https://elsewhere.example/'], '', 0.0],
            default => $answer,
        };
    }

    /** @return list<array{id: int, name: string, coast: string}> those whose name begins so */
    private static function ports(string $name): array
    {
        $found = [];
        foreach (self::PORTS as $id => $port) {
            if ($name !== '' && str_starts_with(strtolower($port), strtolower($name))) {
                $found[] = ['id' => $id, 'name' => $port, 'coast' => $id < 20 ? 'north' : 'south'];
            }
        }

        return $found;
    }

    /** @return array{int, array<string, string>, string, float} */
    private static function tides(int $port, int $now): array
    {
        if (! isset(self::PORTS[$port])) {
            return self::json(404, ['error' => 'no such port']);
        }
        $tides = [];
        $half = intdiv(self::TIDE_SECONDS, 2);
        $first = intdiv($now + 700 * $port, $half) + 1;
        for ($next = $first; $next < $first + 4; $next++) {
            $at = $next * $half - 700 * $port;
            $isHigh = $next % 2 === 0;
            $tides[] = [
                'kind' => $isHigh ? 'high' : 'low',
                'at' => gmdate('Y-m-d\TH:i:s\Z', $at),
                'metres' => ($isHigh ? 38 + $port % 9 : 4 + $port % 5) / 10,
            ];
        }

        return self::json(
            200,
            ['port' => ['id' => $port, 'name' => self::PORTS[$port]], 'tides' => $tides],
            ['Cache-Control' => 'max-age=300', 'ETag' => '"'.$port.'-'.$first.'"'],
        );
    }

    private static function weather(int $now): string
    {
        $force = 2 + intdiv($now, 3_600) % 6;

        return '<?xml version="1.0" encoding="UTF-8"?><weather xmlns="urn:lantern-cove:weather"><at>'
            .gmdate('Y-m-d\TH:i:s\Z', $now - $now % 3_600)
            ."</at><wind unit=\"bft\" from=\"SW\">$force</wind><air unit=\"°C\">".(6 + $force).'</air>'
            .'<sky>'.($force > 5 ? 'rain on the slipway' : 'bright, with gulls').'</sky></weather>';
    }

    private static function shop(): string
    {
        return '<!doctype html><html><head><title>The chandler</title></head><body><h1>The chandler</h1><table '
            .'class="goods"><tr><th>Goods</th><th>Price</th></tr><tr data-id="lantern"><td>Brass lantern</td>'
            .'<td class="price">€ 42,50</td></tr><tr data-id="rope"><td>Rope, a fathom</td><td class="price">€ 3,20'
            .'</td></tr></table><p>Open <b>daily</b> but Mondays.</p></body></html>';
    }

    /** @return array{int, array<string, string>, string, float} */
    private static function crew(string $name, string $key, int $now): array
    {
        return $key !== self::KEY
            ? self::json(401, ['error' => 'who asks?'])
            : self::json(200, [
                'name' => $name,
                'planks' => 1_400 + intdiv($now, 20) % 600,
                'rank' => 'Bosun',
                // As some sources do: whoever asks has to take it out.
                'asked_with' => $key,
            ]);
    }

    private static function news(int $now): string
    {
        $day = intdiv($now, 86_400);
        $entries = '';
        foreach (['Keel laid', 'Ribs & knees', 'A gull, named'] as $back => $title) {
            $entries .= '<entry><title>'.htmlspecialchars($title, ENT_XML1).'</title><link href="https://yard.'
                .'lantern-cove.example/news/'.($day - $back).'"/><updated>'
                .gmdate('Y-m-d\T09:00:00\Z', ($day - $back) * 86_400).'</updated></entry>';
        }

        return '<?xml version="1.0" encoding="UTF-8"?><feed xmlns="http://www.w3.org/2005/Atom"><title>News of the yard'
            ."</title>$entries</feed>";
    }

    private static function word(int $now): string
    {
        $at = intdiv($now, 86_400) % count(self::WORDS);

        return 'word: '.self::WORDS[$at]."\nmeans: ".self::SPARS[$at]."\n";
    }

    /**
     * @param  array<array-key, mixed>  $body
     * @param  array<string, string>  $headers
     * @return array{int, array<string, string>, string, float}
     */
    private static function json(int $status, array $body, array $headers = []): array
    {
        return [
            $status,
            ['Content-Type' => 'application/json'] + $headers,
            json_encode($body, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION),
            0.0,
        ];
    }
}
