<?php

declare(strict_types=1);

namespace Tests\Core\Hearing;

use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Document\Document;
use SilverParrot\Format\CommandFormat;
use SilverParrot\Hearing\Service\ServiceAnswers;
use SilverParrot\Hearing\Service\ServiceChange;
use SilverParrot\Hearing\Service\ServiceDetails;
use SilverParrot\Hearing\Service\ServiceField;
use SilverParrot\Pack\Flood;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Value\Moment;
use Tests\Core\Response\World;

/** What commands set at the streaming service, in a rehearsal whose service takes it. */
final class ServiceDeedsTest extends TestCase
{
    private int $lines = 0;

    public function test_one_trigger_shows_to_everybody_and_sets_for_whoever_may(): void
    {
        $chat = $this->chat(['categories' => "Planking\nCaulking\nRigging"]);
        $odo = Person::known('odo', 'odo', 'Odo', Levels::of());
        $ilse = Person::known('ilse', 'ilse', 'Ilse', Levels::of(Level::Editor));
        foreach (
            [
                [$odo, '!title', 'It is Planking the port side'],
                [$ilse, '!title', 'It is Planking the port side'],
                [$odo, '!title Mine', 'It is Planking the port side'],
                [$ilse, '!title  All hands on deck ', 'Now All hands on deck, was Planking the port side'],
                [$odo, '!title', 'It is All hands on deck'],
                [$ilse, '!title All hands on deck', 'No: actions.is-already All hands on deck'],
                [$ilse, '!title '.str_repeat('x', 141), 'No: actions.too-long 140'],
                [$ilse, '!at riging', 'No: actions.no-category-but riging Rigging'],
                [$ilse, '!at king', 'No: actions.no-category-but king Planking, Caulking'],
                [$ilse, '!at ships', 'No: actions.no-category ships Planking, Caulking, Rigging'],
                [$ilse, '!at planking', 'No: actions.is-already Planking'],
                [$ilse, '!at RIGGING', 'At Rigging'],
                [$odo, '!at', 'We are at Rigging'],
                [$ilse, '!tags #boats, oak oak', 'Tags boats, oak'],
                [$ilse, '!tags oak BOATS', 'No: actions.is-already oak, BOATS'],
                [$ilse, '!tags ,,', 'No: actions.no-text'],
                [$ilse, '!tags '.str_repeat('t', 26), 'No: actions.tag-too-long '.str_repeat('t', 26).' 25'],
                [$ilse, '!tags 1 2 3 4 5 6 7 8 9 10 11', 'No: actions.too-many-tags 10'],
            ] as [$by, $line, $answer]
        ) {
            self::assertSame([$answer], $this->say($chat, $by, $line), $line);
        }
    }

    public function test_a_moment_is_marked_where_a_player_finds_it(): void
    {
        $started = (Moment::fromIso(World::NOW) ?? new Moment(0))->plusMillis(-3_725_000)->iso();
        $ilse = Person::known('ilse', 'ilse', 'Ilse', Levels::of(Level::Editor));
        $chat = $this->chat(['live' => true, 'started' => $started]);
        self::assertSame(['Marked the gull at 1:02:05'], $this->say($chat, $ilse, '!mark the gull'));
        self::assertSame(['Marked service.mark at 1:02:05'], $this->say($chat, $ilse, '!mark'));
        $off = $this->chat(['live' => false]);
        self::assertSame(['No: actions.not-live'], $this->say($off, $ilse, '!mark'));
    }

    public function test_tags_that_come_and_go_with_a_category_are_told(): void
    {
        $by = Person::known('ilse', 'ilse', 'Ilse', Levels::of(Level::Editor));
        $change = new ServiceChange('set category', ServiceField::Category, 'rigging', $by);
        self::assertEquals($change, ServiceChange::fromArray(json_decode(json_encode($change->toArray()) ?: '', true)));
        self::assertNull(ServiceChange::fromArray(['field' => 'banner'] + $change->toArray()));
        $told = static function (array $before, array $after) use ($change): ?string {
            $also = ServiceAnswers::done(
                $change,
                ServiceDetails::of(['category' => 'Planking', 'tags' => implode("\n", $before)]),
                ServiceDetails::of(['category' => 'Rigging', 'tags' => implode("\n", $after)]),
            )->outcome['also'];

            return $also === null ? null : $also->key.' '.implode(' ', array_filter($also->data));
        };
        self::assertNull($told(['a', 'b'], ['b', 'a']));
        self::assertSame('service.tags-both rope wood', $told(['wood', 'boats'], ['boats', 'rope']));
        self::assertSame('service.tags-more rope', $told([], ['rope']));
        self::assertSame('service.tags-less wood', $told(['wood'], []));
    }

    /** @return list<string> */
    private function say(Rehearsal $chat, Person $by, string $line): array
    {
        return $chat->line('line '.++$this->lines, $by, $line, Moment::fromIso(World::NOW) ?? new Moment(0))->texts();
    }

    /** @param  array<string, bool|string>  $details */
    private function chat(array $details): Rehearsal
    {
        $commands = [];
        foreach (
            [
                '!title' => ['set title', 'It is [channel.title]', 'Now [outcome.after], was [outcome.before]'],
                '!at' => ['set category', 'We are at [channel.category]', 'At [outcome.after]'],
                '!tags' => ['set tags', '[channel.tags | join]', 'Tags [outcome.after]'],
                '!mark' => ['mark moment', '', 'Marked [outcome.name] at [outcome.after]'],
            ] as $trigger => [$deed, $shows, $says]
        ) {
            $commands[] = CommandFormat::read(Document::of([
                'trigger' => $trigger,
                'responses' => [
                    ...$shows === '' ? [] : [['text' => $shows]],
                    ['steps' => [['do' => $deed], ['say' => $says]], 'levels' => ['at_least' => 'editor']],
                ],
                'if_it_fails' => 'No: [outcome.reason]',
                'cooldown' => ['channel' => 0, 'person' => 0],
            ]));
        }
        $pack = World::pack()->withCommands($commands)->withFlood(new Flood(0, 0));

        return new Rehearsal(
            $pack,
            World::situation($pack)->withChannel(
                $details + ['title' => 'Planking the port side', 'category' => 'Planking'],
            ),
            '1',
            ChatProfile::stream(),
        );
    }
}
