<?php

declare(strict_types=1);

namespace Tests\Core\Checks;

use PHPUnit\Framework\TestCase;
use SilverParrot\Checks\CheckEnvironment;
use SilverParrot\Checks\Checks;
use SilverParrot\Checks\WrittenAddresses;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Lookup\Address\AddressState;
use SilverParrot\Lookup\Address\LookedAt;
use SilverParrot\Pack\Fact;
use SilverParrot\Pack\Ladder;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\TextList;
use SilverParrot\Pack\Timer;
use SilverParrot\Pack\WeightedText;
use SilverParrot\Source\Finding;
use Tests\Core\Response\World;

final class AddressGoneTest extends TestCase
{
    public function test_what_is_gone_moved_or_not_to_be_trusted_is_found_where_it_is_written_with_the_new_address(): void
    {
        $known = [
            'https://old.org/a' => new LookedAt(AddressState::Gone),
            'https://moved.org/' => new LookedAt(AddressState::Moved, 'https://new.org/x'),
            'https://odd.org' => new LookedAt(AddressState::Certificate),
            'https://fine.org' => new LookedAt(AddressState::Fine),
        ];
        $found = array_values(array_filter(
            Checks::of(self::pack(), new CheckEnvironment(addresses: $known)),
            static fn (Finding $one): bool => str_ends_with($one->kind->code(), 'address-gone'),
        ));
        self::assertSame([
            '/commands/0/responses/0/text 9-26 https://old.org/a is gone.',
            '/commands/0/responses/0/text 28-46 https://moved.org/ has moved for good. -> https://new.org/x',
            '/commands/1/if_it_fails 5-20 https://odd.org has a certificate that browsers warn of.',
            '/facts/0/text 0-18 https://moved.org/ has moved for good. -> https://new.org/x',
            '/lists/0/items/1/text 4-21 https://old.org/a is gone.',
            '/timers/0/responses/1/text 15-30 https://odd.org has a certificate that browsers warn of.',
            '/refusals/cost 3-20 https://old.org/a is gone.',
            '/ladders/0/rises 9-27 https://moved.org/ has moved for good. -> https://new.org/x',
            '/facts/1/text 0-15 https://odd.org has a certificate that browsers warn of.',
        ], array_map(static fn (Finding $one): string => "{$one->at} {$one->span?->from}-{$one->span?->to} "
            .$one->sentence()
            .($one->replacement === null ? '' : " -> {$one->replacement}"), $found));
        self::assertSame([], array_filter(
            Checks::of(self::pack()),
            static fn (Finding $one): bool => str_ends_with($one->kind->code(), 'address-gone'),
        ));
    }

    public function test_where_a_server_says_that_it_moved_is_no_slot(): void
    {
        $known = ['https://moved.org/' => new LookedAt(
            AddressState::Moved,
            'https://new.org/[fact.secret]?a[]=[[b',
        )];
        foreach (Checks::of(self::pack(), new CheckEnvironment(addresses: $known)) as $one) {
            if (str_ends_with($one->kind->code(), 'address-gone')) {
                self::assertSame('https://new.org/%5Bfact.secret%5D?a%5B%5D=%5B%5Bb', $one->replacement);
                self::assertStringNotContainsString('[', $one->mend());
            }
        }
        self::assertContains(
            'https://new.org/%5Bfact.secret%5D?a%5B%5D=%5B%5Bb',
            array_column(Checks::of(self::pack(), new CheckEnvironment(addresses: $known)), 'replacement'),
        );
    }

    public function test_addresses_are_found_as_they_are_said_and_not_where_slots_go_on_with_them(): void
    {
        self::assertSame([
            'https://old.org/a',
            'https://moved.org/',
            'https://odd.org',
        ], WrittenAddresses::in(self::pack()));
    }

    public function test_a_server_means_for_good_what_it_says_is_for_good(): void
    {
        $state = static fn (int $status, string $to = 'https://x.org/'): string => LookedAt::answered($status, $to)
            ->state
            ->value;
        self::assertSame(['gone', 'gone', 'moved', 'moved'], array_map($state, [404, 410, 301, 308]));
        // RFC 9110, 15.4.3 to 15.4.8: for now; and what says nothing of the address.
        foreach ([200, 204, 302, 303, 307, 401, 403, 429, 500, 503] as $status) {
            self::assertSame('fine', $state($status), (string) $status);
        }
        self::assertSame('fine', $state(301, ''));
    }

    private static function pack(): Pack
    {
        return new Pack(
            World::pack()->channel,
            commands: [
                Say::on(
                    '!map',
                    'é Go to (https://old.org/a) https://moved.org/ or https://old.org/a[words | url] now.',
                ),
                Say::on('!odd', 'Hello.')->failing('See: https://odd.org'),
            ],
            facts: [
                'map' => new Fact('map', 'https://moved.org/'),
                'odd' => new Fact('odd', 'https://odd.org https://old.org/a[channel.name]', isResponse: true),
            ],
            ladders: ['pebbles' => new Ladder('pebbles', [5 => 'Mate'], rises: '[caller] https://moved.org/')],
            timers: [
                new Timer('links', [
                    Say::response('Ahoy.'),
                    Say::response('[channel.name] https://odd.org'),
                ]),
            ],
            refusals: ['cost' => 'é: https://old.org/a'],
            lists: ['links' => new TextList('links', [
                new WeightedText('a'),
                new WeightedText('at: https://old.org/a.'),
            ])],
        );
    }
}
