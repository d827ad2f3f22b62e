<?php

declare(strict_types=1);

namespace Tests\Core\Harbour;

use Harbour\Crowd;
use PHPUnit\Framework\TestCase;

final class CrowdTest extends TestCase
{
    public function test_sixty_people_with_names_of_their_own_and_levels(): void
    {
        $crowd = new Crowd(1);
        $logins = array_map(static fn ($viewer): string => $viewer->login, $crowd->viewers);
        self::assertCount(60, array_unique($logins));
        foreach ($logins as $login) {
            self::assertMatchesRegularExpression('/^[a-z0-9_]{3,25}$/', $login);
        }
        $levels = array_merge(...array_map(static fn ($viewer): array => $viewer->levels, $crowd->viewers));
        self::assertSame(
            ['follower', 'moderator', 'subscriber', 'vip'],
            array_values(array_intersect(['follower', 'moderator', 'subscriber', 'vip'], $levels)),
        );
    }

    public function test_the_same_seed_says_the_same_and_all_habits_come_up(): void
    {
        $say = static fn (int $seed): array => array_map(static function ($n) use (&$crowd, $seed): string {
            $crowd = $n === 0 ? new Crowd($seed) : $crowd;
            [$viewer, $text] = $crowd->next();

            return "{$viewer->login}: $text";
        }, range(0, 399));
        self::assertSame($say(7), $say(7));
        self::assertNotSame($say(7), $say(8));
        $all = implode("\n", $say(7));
        self::assertMatchesRegularExpression(
            '/: !(?!tide\b|knot\b|ahoy\b|dry\b|luck\b|now\b|crew\b|biscuit\b|chart\b|TIDE\b)/',
            $all,
            'some mistype',
        );
        foreach (['!tide', '://', 'kettle', '@'] as $habit) {
            self::assertStringContainsString($habit, $all);
        }
        self::assertStringNotContainsString('{name}', $all);
    }

    public function test_people_arrive_and_leave_and_only_who_is_here_speaks(): void
    {
        $crowd = new Crowd(5);
        $came = [];
        for ($i = 0; $i < 2000; $i++) {
            $crossing = $crowd->crossing();
            if ($crossing !== null) {
                $came[$crossing->login] = $crowd->isHere($crossing);
            }
            [$viewer] = $crowd->next();
            self::assertTrue($crowd->isHere($viewer));
            self::assertGreaterThanOrEqual(15, count($crowd->present()));
        }
        self::assertGreaterThan(50, count($came));
        self::assertContains(true, $came);
        self::assertContains(false, $came);
    }

    public function test_the_pace_is_kept_on_the_whole(): void
    {
        $crowd = new Crowd(3);
        $seconds = 0.0;
        for ($i = 0; $i < 3000; $i++) {
            $seconds += $crowd->pause(600);
        }
        // The mean of 3,000 exponential pauses of 0.1 s lies within four standard errors: 300 s ± 22 s.
        self::assertEqualsWithDelta(300, $seconds, 22);
    }
}
