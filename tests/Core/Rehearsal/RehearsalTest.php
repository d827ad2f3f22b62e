<?php

declare(strict_types=1);

namespace Tests\Core\Rehearsal;

use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Level;
use SilverParrot\Format\PackFormat;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\TypedIn;
use SilverParrot\Hearing\Gates\WhereTyped;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Memory\AlreadyHandled;
use SilverParrot\Memory\Change;
use SilverParrot\Memory\CompleteView;
use SilverParrot\Memory\EventKey;
use SilverParrot\Memory\InMemoryStore;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\Tally;
use SilverParrot\Pack\Phrase;
use SilverParrot\Rehearsal\ChatFile;
use SilverParrot\Rehearsal\Heard;
use SilverParrot\Rehearsal\LastingChanges;
use SilverParrot\Rehearsal\MemoryFormat;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Rehearsal\Report;
use SilverParrot\Rehearsal\Runner;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Message;
use SilverParrot\Source\MessageKeys;
use SilverParrot\Value\Moment;
use Tests\Core\Response\World;

final class RehearsalTest extends TestCase
{
    private const EXAMPLES = __DIR__.'/../../../docs/examples/';

    public function test_a_chat_is_read_with_its_levels_and_times(): void
    {
        $file = ChatFile::read("## about\n# Odo: subscriber, VIP\n\n+0s Odo: !tide\n+1m5s Pia: a: b\n+2m Pia: \n");
        self::assertSame([], $file->findings);
        self::assertSame([Level::Subscriber, Level::Vip], $file->levels['odo']);
        self::assertSame(
            [[0, 'Odo', '!tide'], [65_000, 'Pia', 'a: b'], [120_000, 'Pia', '']],
            array_map(static fn ($line): array => [$line->millis, $line->by, $line->text], $file->lines),
        );
    }

    public function test_what_is_whispered_sets_off_what_may_be_and_its_answer_is_nobody_elses(): void
    {
        $pack = World::pack()
            ->withCommand(
                Say::on('!hush', 'hush, [caller]')->gated(Cooldown::none(), new WhereTyped(TypedIn::Whisper)),
            )
            ->withCommand(Say::on('!loud', 'aye')->gated(Cooldown::none())->saidAs(new Phrase('rope')));
        $file = ChatFile::read(
            "+0s odo (whispers): !hush\n+1s odo: !hush\n+2s odo (whispers): !loud\n+3s odo(whispers): any rope?\n"
                .'+4s odo: any rope?',
        );
        self::assertSame([], $file->findings);
        $report = Runner::run(
            new Rehearsal($pack, new \SilverParrot\Rehearsal\InitialState, '1', ChatProfile::stream()),
            $file->lines,
            [],
            self::start(),
        );
        $said = array_map(
            static fn (Heard $one): string => ($one->outcome->sayings[0]->place->value ?? '-').' '
                .implode($one->outcome->texts()).($one->outcome->closed->code ?? ''),
            $report->heard,
        );
        self::assertSame(['whisper hush, odo', '- typed_in', '- typed_in', '- ', 'chat aye'], $said);
    }

    public function test_a_chat_from_elsewhere_is_read_line_by_line_as_it_was_written(): void
    {
        // A mark of the order of bytes, ends of lines of two kinds, and signs that are none of them.
        $file = ChatFile::read(
            "\u{FEFF}# Newbie: vip\r\n+0s newbie: one\u{2028}+1s odo: not me\u{85}\x0B\x0C\r\nnothing\r\n",
        );
        self::assertSame(
            ["one\u{2028}+1s odo: not me\u{85}\x0B\x0C"],
            array_map(static fn ($line): string => $line->text, $file->lines),
            'nobody is made to say what another wrote',
        );
        self::assertSame(
            ['not-a-line 51-58'],
            array_map(
                static fn (
                    Finding $finding,
                ): string => "{$finding->kind->code()} {$finding->span?->from}-{$finding->span?->to}",
                $file->findings,
            ),
            'each end of a line is as long as it is',
        );
        $report = Runner::run(
            new Rehearsal(World::pack(), new \SilverParrot\Rehearsal\InitialState, '1', ChatProfile::stream()),
            $file->lines,
            $file->levels,
            self::start(),
            $file->names,
        );
        self::assertSame('Newbie', $report->heard[0]->by?->name);
    }

    public function test_a_file_may_be_longer_than_what_is_tried_at_once(): void
    {
        $lines = str_repeat("+0s odo: x\n", 10_001);
        self::assertCount(10_000, ChatFile::read($lines)->lines);
        self::assertCount(10_001, ChatFile::read($lines, Limits::REHEARSAL_FILE_LINES)->lines);
    }

    public function test_what_cannot_be_read_of_a_chat_is_named_by_line(): void
    {
        $file = ChatFile::read("+5s Odo: a\n+3s Pia: b\nOdo: c\n+ Odo: d\n# Pia: captan, modrator\n");
        self::assertSame(
            [
                'back-in-time 11-21',
                'not-a-line 22-28',
                'not-a-line 29-37',
                'unknown-level 38-61',
                'unknown-level 38-61',
            ],
            array_map(
                static fn (
                    Finding $finding,
                ): string => "{$finding->kind->code()} {$finding->span?->from}-{$finding->span?->to}",
                $file->findings,
            ),
        );
        self::assertSame('Did you mean moderator?', $file->findings[4]->mend());
        self::assertSame('', $file->findings[3]->mend());
    }

    public function test_an_evening_runs_on_a_copy_of_memory(): void
    {
        $report = self::evening();
        self::assertSame(
            ['7', '3', '3', '0'],
            [
                $report->toArray(new MessageKeys)['said'],
                $report->toArray(new MessageKeys)['silent'],
                $report->toArray(new MessageKeys)['closed'],
                $report->toArray(new MessageKeys)['failed'],
            ],
        );
        self::assertSame(['Splinters while Planking: 10 (12 in all). Not bad.'], $report->heard[3]->outcome->texts());
        self::assertSame(
            [
                ['what' => 'viewer.pebbles', 'scope' => 'odo', 'from' => '5', 'to' => '2'],
                ['what' => 'viewer.pebbles', 'scope' => 'pia', 'from' => '310', 'to' => '313'],
            ],
            $report->toArray(new MessageKeys)['lines'][5]['changes'],
        );
    }

    public function test_the_same_evening_is_the_same_to_the_byte(): void
    {
        self::assertSame(
            json_encode(self::evening()->toArray(new MessageKeys)),
            json_encode(self::evening()->toArray(new MessageKeys)),
        );
        // There is little luck in it, so two seeds may well have the same.
        self::assertGreaterThan(
            1,
            count(
                array_unique(
                    array_map(
                        static fn (int $seed): string|false => json_encode(
                            self::evening("seed $seed")->toArray(new MessageKeys),
                        ),
                        range(1, 8),
                    ),
                ),
            ),
        );
    }

    public function test_whoever_has_spoken_can_be_named_from_then_on(): void
    {
        [$pack] = PackFormat::read((string) file_get_contents(self::EXAMPLES.'lantern-cove.pack.json'));
        $file = ChatFile::read("+0s Tamsin: !biscuit @quill\n+9s Quill: ahoy\n+99s Tamsin: !biscuit @quill\n");
        $report = Runner::run(
            new Rehearsal($pack, new \SilverParrot\Rehearsal\InitialState, '1', ChatProfile::stream()),
            $file->lines,
            $file->levels,
            self::start(),
        );
        self::assertSame('unknown-person', $report->heard[0]->outcome->failed?->reason);
        self::assertSame(['Tamsin hands Quill a biscuit. One biscuit so far.'], $report->heard[2]->outcome->texts());
    }

    public function test_memory_documents_tell_what_does_not_fit_the_pack(): void
    {
        [$pack] = PackFormat::read((string) file_get_contents(self::EXAMPLES.'lantern-cove.pack.json'));
        [, $findings] = MemoryFormat::read(
            '{"format":"silver-parrot-memory","version":1,"counters":{"planks":"3","oars":1},'
                .'"occasions":{"leak":"soon"},"people":[{"name":"x"}]}',
            $pack,
        );
        self::assertSame(
            [
                '/counters/planks wrong-kind',
                '/counters/oars unknown-key',
                '/occasions/leak not-a-moment',
                '/people/0 missing-key',
                '/people/0/login wrong-kind',
            ],
            array_map(static fn (Finding $finding): string => "{$finding->at} {$finding->kind->code()}", $findings),
        );
    }

    public function test_what_people_added_to_a_list_comes_with_memory_and_can_be_kept_with_the_changes(): void
    {
        [$pack] = PackFormat::read((string) file_get_contents(self::EXAMPLES.'lantern-cove.pack.json'));
        [$situation, $findings] = MemoryFormat::read(
            '{"format":"silver-parrot-memory","version":1,"items":{"Jobs":["scrape the hull"],"oars":["a"]}}',
            $pack,
        );
        self::assertSame(['/items/oars'], array_column($findings, 'at'));
        $file = ChatFile::read("# Bram: moderator\n+0s Bram: !chore oil the winch\n");
        $heard = Runner::run(
            new Rehearsal($pack, $situation, '1', ChatProfile::stream()),
            $file->lines,
            $file->levels,
            self::start(),
        )->heard;
        self::assertSame(['Noted: oil the winch. That makes 5 jobs.'], $heard[0]->outcome->texts());
        $real = [Key::addedItems('jobs')->id() => $situation->memory[Key::addedItems('jobs')->id()] ?? null];
        $kept = static fn (array $memory): array|Message => LastingChanges::of($heard, [])->in(
            new CompleteView($memory),
            $pack,
            self::start(),
        );
        $changes = $kept($real);
        self::assertIsArray($changes);
        self::assertSame(
            ['scrape the hull', 'oil the winch'],
            array_column((array) ((array) $changes[0]->to)['items'], 'text'),
        );
        self::assertInstanceOf(Message::class, $kept([]), 'somebody added one meanwhile, or took one out');
    }

    public function test_a_store_takes_an_event_once_and_forgets_the_key_of_a_turn_that_needs_more(): void
    {
        $store = new InMemoryStore;
        $key = Key::counter('planks');
        $turn = static fn (): Tally => new Tally([new Change($key, null, 1, 'counter.planks', 'channel')]);
        self::assertInstanceOf(Tally::class, $store->turn(EventKey::event('e'), Reads::of($key), $turn));
        self::assertInstanceOf(AlreadyHandled::class, $store->turn(EventKey::event('e'), Reads::of($key), $turn));
        self::assertSame(1, $store->snapshot(Reads::of($key))->value($key));
        self::assertFalse($store->snapshot(Reads::of())->knows($key));
        $store->turn(EventKey::event('f'), Reads::of(), static fn () => \SilverParrot\Hearing\Needs::keys($key));
        self::assertInstanceOf(
            Tally::class,
            $store->turn(
                EventKey::event('f'),
                Reads::of(),
                static fn (): Tally => new Tally([new Change($key, 1, null, '', '')]),
            ),
        );
        self::assertSame([], $store->values());
    }

    private static function evening(string $seed = '1'): Report
    {
        [$pack] = PackFormat::read((string) file_get_contents(self::EXAMPLES.'lantern-cove.pack.json'));
        [$situation] = MemoryFormat::read((string) file_get_contents(self::EXAMPLES.'lantern-cove.memory.json'), $pack);
        $file = ChatFile::read((string) file_get_contents(self::EXAMPLES.'evening.chat.txt'));

        return Runner::run(
            new Rehearsal($pack, $situation, $seed, ChatProfile::stream()),
            $file->lines,
            $file->levels,
            self::start(),
        );
    }

    private static function start(): Moment
    {
        return Moment::fromIso('2026-11-25T20:00:00Z') ?? throw new \LogicException('a moment');
    }
}
