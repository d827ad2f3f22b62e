<?php

declare(strict_types=1);

namespace Tests\Pathological;

use League\Uri\Uri;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use SilverParrot\Chat\Addresses;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Checks\CheckEnvironment;
use SilverParrot\Checks\Checks;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Source\Finding;
use SilverParrot\Source\TextTrimmer;
use SilverParrot\Value\Moment;
use Tests\Core\Response\World;
use Tests\Outside;

/**
 * Whatever stands in an address or beside one: it leads where its author wrote, and a mend leaves it whole. Parsed by
 * league/uri (RFC 3986).
 */
final class AddressFuzzTest extends TestCase
{
    private const TYPED = [
        'gull',
        ' ',
        '/',
        '?',
        '&',
        '=',
        '#',
        '@',
        ':',
        '%',
        '%2F',
        '..',
        '//',
        '\\',
        '"',
        '<',
        ']',
        '[',
        '|',
        'é',
        '😀',
        'evil.example',
        ':80',
        'https://',
        '+',
        "'",
        '(',
        ')',
        '.',
        '。',
        "\u{FF0F}",
    ];

    private const BESIDE = [
        'https://charts.lantern-cove.example',
        'http://cove.example/Knot_(rope)',
        '[words | url]',
        '[words]',
        '[counter.planks]',
        '[caller | link]',
        '/',
        '?q=',
        '&p=',
        '.',
        ',',
        ')',
        '(',
        '…',
        '”',
        '“',
        '。',
        '»',
        '😀',
        '!',
        ' ',
        'see',
        ':',
        "'",
        '#x',
        '[when yes]',
        '[else]',
        '[end]',
        'https://',
    ];

    public function test_what_is_typed_stays_in_its_place_of_the_address(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(3986));
        $shapes = [
            '?q=[words | url]&from=cove' => 'query',
            '/knots/[words | url]/all' => 'path',
            '#[words | url]' => 'fragment',
        ];
        $rounds = Outside::rounds(3_000, 60_000);
        for ($i = 0; $i < $rounds; $i++) {
            $shape = array_keys($shapes)[$i % 3];
            $words = $this->heap(self::TYPED, 8, $random);
            [$said, $typed] = [
                $this->said("https://charts.lantern-cove.example$shape", $words),
                TextTrimmer::withoutSpace($words),
            ];
            $uri = Uri::new($said);
            self::assertSame('https', $uri->getScheme(), $words);
            self::assertSame('charts.lantern-cove.example', $uri->getAuthority(), $words);
            [$before, $behind] = explode('[words | url]', $shape);
            self::assertSame(
                $before.rawurlencode($typed).$behind,
                substr($said, strlen('https://charts.lantern-cove.example')),
                $words,
            );
            $part = match ($shapes[$shape]) {
                'query' => substr((string) $uri->getQuery(), 2, -10),
                'path' => substr($uri->getPath(), 7, -4),
                'fragment' => (string) $uri->getFragment(),
            };
            self::assertSame($typed, rawurldecode($part), $words);
        }
        self::assertSame($rounds, $i);
    }

    public function test_what_is_made_a_link_is_an_address(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(8));
        $links = 0;
        for ($i = 0; $i < Outside::rounds(3_000, 60_000); $i++) {
            $words = $this->heap(
                [
                    'cove.example',
                    'charts.',
                    'a',
                    '-',
                    '.',
                    '/',
                    '?',
                    '#',
                    ':',
                    '80',
                    '@',
                    'https://',
                    'http:',
                    '//',
                    'é',
                    '😀',
                    ' ',
                    '%',
                    '[',
                    "\u{202E}",
                ],
                6,
                $random,
            );
            $said = $this->said('[words | link]', $words);
            if ($said !== '') {
                $links++;
                self::assertMatchesRegularExpression('#^https?://[\p{L}\p{N}\[]#Dui', $said, "“{$words}”");
                self::assertDoesNotMatchRegularExpression('/\s/u', $said, "“{$words}”");
            }
        }
        self::assertGreaterThan(100, $links);
    }

    public function test_a_mend_beside_an_address_leaves_it_whole_and_ends(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(2732));
        $now = Moment::fromIso(World::NOW) ?? new Moment(0);
        $mends = 0;
        for ($i = 0; $i < Outside::rounds(1_500, 30_000); $i++) {
            $source = $this->heap(self::BESIDE, 7, $random);
            for ($times = 0; $times < 12; $times++) {
                $found = array_values(
                    array_filter(
                        Checks::of(World::pack()->withCommand(Say::on('!say', $source)), new CheckEnvironment($now)),
                        static fn (Finding $one): bool => $one->span !== null
                            && $one->replacement !== null
                            && str_starts_with($one->kind->code(), 'address-')
                            && str_contains($one->at, '/commands/'.count(World::pack()->commands)),
                    ),
                );
                if ($found === []) {
                    break;
                }
                $mends++;
                [$from, $to] = [$found[0]->span->from ?? 0, $found[0]->span->to ?? 0];
                $next = mb_substr($source, 0, $from).$found[0]->replacement.mb_substr($source, $to);
                $bare = static fn (string $text): string => str_replace([' ', '|url'], '', $text);
                self::assertSame($bare($source), $bare($next), 'a mend only parts, or escapes');
                $source = $next;
            }
            self::assertLessThan(12, $times, "“{$source}” is never mended");
            foreach (Addresses::in($source) as [, $address]) {
                self::assertMatchesRegularExpression('#^https?://#i', $address);
            }
        }
        self::assertGreaterThan(300, $mends);
    }

    /** @param  list<string>  $pieces */
    private function heap(array $pieces, int $most, Randomizer $random): string
    {
        $heap = '';
        for ($count = $random->getInt(1, $most); $count > 0; $count--) {
            $heap .= $pieces[$random->getInt(0, count($pieces) - 1)];
        }

        return $heap;
    }

    private function said(string $source, string $words): string
    {
        $pack = World::pack()->withCommand(Say::on('!say', $source)->gated(Cooldown::none()));
        $rehearsal = new Rehearsal($pack, World::situation($pack), '1', ChatProfile::stream());
        $texts = $rehearsal
            ->line('e', World::people()[0]->person(), "!say $words", Moment::fromIso(World::NOW) ?? new Moment(0))
            ->texts();

        return TextTrimmer::withoutSpace(implode(' ', $texts));
    }
}
