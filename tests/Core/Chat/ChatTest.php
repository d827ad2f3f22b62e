<?php

declare(strict_types=1);

namespace Tests\Core\Chat;

use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Pack\CastMember;

final class ChatTest extends TestCase
{
    public function test_levels_are_a_set_with_an_order(): void
    {
        $levels = Levels::of(Level::Moderator, Level::Follower, Level::Moderator);
        self::assertSame([Level::Everyone, Level::Follower, Level::Moderator], $levels->all());
        self::assertSame([Level::Moderator, ['follower', 'moderator']], [$levels->highest(), $levels->words()]);
        self::assertFalse($levels->has(Level::Vip), 'a higher level does not bring the lower ones');
        self::assertSame(Level::Everyone, Levels::of()->highest());
        self::assertSame(
            ['everyone', 'follower', 'regular', 'subscriber', 'vip', 'moderator', 'editor', 'streamer'],
            Level::words(),
        );
        self::assertSame([Level::Vip, null], [Level::named(' VIP '), Level::named('captain')]);
    }

    public function test_people_are_told_by_login_whatever_they_call_themselves(): void
    {
        $odo = Person::known('7', 'Odo', 'Wren', Levels::of());
        self::assertTrue($odo->is('@ODO'));
        self::assertFalse($odo->is('wren'));
        self::assertTrue($odo->isKnown());
        self::assertFalse(Person::unknown('odo')->isKnown());
        self::assertSame('quill', Person::known('8', 'quill', '', Levels::of())->name);
    }

    public function test_what_can_be_a_name_is_the_profiles_to_say(): void
    {
        $stream = ChatProfile::stream();
        foreach (['odo', 'a_1', str_repeat('x', 25)] as $name) {
            self::assertTrue($stream->couldBeName($name), $name);
        }
        foreach (['so', str_repeat('x', 26), 'ö_do', 'a b', 'odo!', ''] as $name) {
            self::assertFalse($stream->couldBeName($name), $name);
        }
        self::assertTrue(ChatProfile::irc()->couldBeName('so'));
        self::assertNull(ChatProfile::named('gull'));
        foreach (ChatProfile::names() as $name) {
            self::assertSame($name, ChatProfile::named($name)?->name);
        }
    }

    public function test_the_lowest_of_a_cast_is_found(): void
    {
        $cast = [new CastMember('a', 'A', [Level::Vip]), new CastMember('b', 'B'), new CastMember('c', 'C')];
        self::assertSame('b', CastMember::lowest($cast)?->login);
        self::assertNull(CastMember::lowest([]));
    }
}
