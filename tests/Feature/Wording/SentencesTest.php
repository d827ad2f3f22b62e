<?php

declare(strict_types=1);

namespace Tests\Feature\Wording;

use App\Wording\Sentences;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\TestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Place;
use SilverParrot\Chat\Voice;
use SilverParrot\Hearing\CommandSummary;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\Enabled;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Hearing\Gates\StreamState;
use SilverParrot\Hearing\Gates\WhileStream;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\CommandMetadata;
use SilverParrot\Pack\Delivery;
use SilverParrot\Pack\LevelRule;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Source\Message;
use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;
use SilverParrot\Value\Moment;
use Tests\Core\Response\World;

/** The words for what the core tells by codes: each code has its sentence, with its data in it. */
final class SentencesTest extends TestCase
{
    public function createApplication(): Application
    {
        /** @var Application $app */
        $app = require dirname(__DIR__, 3).'/bootstrap/app.php';
        $app->make(\Illuminate\Contracts\Console\Kernel::class)->bootstrap();

        return $app;
    }

    /** Every key that stands in the core, written out or with what varies in it. */
    public function test_every_message_of_the_core_has_its_words(): void
    {
        $named = [];
        $sources = '';
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(base_path('core'))) as $file) {
            $sources .= $file instanceof \SplFileInfo && $file->isFile() ? file_get_contents($file->getPathname()) : '';
        }
        $groups = 'why|fitted|summary|length|expectations|failures|gaps|import'
            .'|counters|earnings|fields|keeping|changing';
        preg_match_all("/'((?:{$groups})\.[a-z-]+)'/", $sources, $found);
        array_push($named, ...$found[1]);
        $failures = (string) file_get_contents(base_path('core/Response/Evaluation/EvaluationFailure.php'));
        preg_match_all(
            "/new self\(\s*'([a-z-]+)', \\$?\w+(?:, \[.*?\], '([a-z-]+)')?/",
            $failures,
            $failures,
            PREG_SET_ORDER,
        );
        foreach ($failures as $failure) {
            $named[] = 'failures.'.($failure[2] ?? $failure[1]);
        }
        $plain = fn (string $key): bool => is_string(trans($key)) && trans($key) !== $key;
        self::assertSame(
            [],
            array_values(array_filter(array_unique($named), static fn (string $key): bool => ! $plain($key))),
        );
        self::assertGreaterThan(40, count(array_unique($named)));
        foreach (GapReason::cases() as $reason) {
            self::assertTrue($plain("gaps.{$reason->value}"), $reason->value);
        }
        self::assertSame(count(GapReason::cases()), count((array) trans('gaps')));
    }

    /** @return iterable<string, array{Command, string, string}> a command, its sentence, and why it stays silent */
    public static function commands(): iterable
    {
        $say = static fn (string ...$texts): Command => Say::on('!a', ...$texts);
        yield 'a plain one' => [
            $say('[1 / 0]'),
            'Anyone, every 10 s, each person once a minute.',
            'It would divide by zero.',
        ];
        yield 'for moderators' => [
            $say('[add 1 to counter.planks][clear counter.oars]')
                ->gated(new ForLevels(new LevelRule([], Level::Moderator)), Cooldown::none()),
            'Moderators and up, as often as they like, changes counter.planks and counter.oars.',
            'it is for moderators and up',
        ];
        yield 'switched off' => [
            $say('x')
                ->gated(new Enabled(false), new Cooldown(90, 7200), new WhileStream(StreamState::Live))
                ->delivered(new Delivery(voice: Voice::Streamer, place: Place::Whisper))
                ->described(new CommandMetadata(listed: false)),
            'Switched off. Anyone, only while live, every 90 s, each person once every 2 hours, as a whisper, in the '
                .'streamer’s voice, not listed by [commands].',
            'the command is switched off',
        ];
        yield 'while offline' => [
            $say('x')->gated(new WhileStream(StreamState::Offline)),
            'Anyone, only while offline, every 10 s, each person once a minute.',
            'it is only for while the stream is offline',
        ];
        yield 'with an amount from nobody' => [
            $say('[take 41 from caller.pebbles]')->gated(Cooldown::none()),
            'Anyone, as often as they like, changes caller.pebbles.',
            'Not enough pebbles: only 40.',
        ];
    }

    #[DataProvider('commands')]
    public function test_a_command_and_its_silence_are_told_in_sentences(
        Command $command,
        string $told,
        string $why,
    ): void {
        $words = app(Sentences::class);
        self::assertSame($told, $words->summary(CommandSummary::of($command)));
        $pack = World::pack()->withCommand($command);
        $rehearsal = new Rehearsal($pack, World::situation($pack), '1', ChatProfile::stream());
        $outcome = $rehearsal->line('1', World::people()[0]->person(), '!a', new Moment(1_795_597_200_000));
        $silence = $outcome->closed->reason ?? $outcome->failed?->message();
        self::assertNotNull($silence);
        self::assertSame($why, $words->of($silence));
        foreach ($outcome->trace?->entries() ?? [] as $entry) {
            self::assertDoesNotMatchRegularExpression('/:[a-z]|^why\./', $words->of($entry->message()));
        }
    }

    public function test_what_people_wrote_is_only_put_in(): void
    {
        $gap = new Gap(GapReason::NoNumber, ['text' => ':limit|{1} :name']);
        self::assertSame('“:limit|{1} :name” is not a number', app(Sentences::class)->of($gap->message()));
        $nested = new Message('failures.gap', ['why' => $gap->message()]);
        self::assertSame('“:limit|{1} :name” is not a number.', app(Sentences::class)->of($nested));
    }
}
