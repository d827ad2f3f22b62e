<?php

declare(strict_types=1);

namespace Tests\Core\Hearing;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Checks\CheckContext;
use SilverParrot\Checks\CheckEnvironment;
use SilverParrot\Checks\Checks;
use SilverParrot\Document\Document;
use SilverParrot\Format\CommandFormat;
use SilverParrot\Hearing\Deeds\Deeds;
use SilverParrot\Hearing\Deeds\EffectDeed;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\OutcomeOutOfPlace;
use SilverParrot\Hearing\Outcome;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\PartialView;
use SilverParrot\Memory\Quote;
use SilverParrot\Pack\AddedItems;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\DrawOrder;
use SilverParrot\Pack\Flood;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\TextList;
use SilverParrot\Pack\WeightedText;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Source\Finding;
use SilverParrot\Value\Moment;
use Tests\Core\Response\World;

/** What commands do besides saying something: whole or not at all, and told either way. */
final class DeedsTest extends TestCase
{
    private int $heard = 0;

    public function test_quotes_are_kept_changed_and_deleted_from_the_chat(): void
    {
        $chat = $this->chat(
            self::does('!keep', 'keep quote', 'Kept as [outcome.name]: [outcome.after]', ['by' => '[caller]']),
            self::does('!mend', 'change quote', '[outcome.name] was “[outcome.before]”'),
            self::does('!forget', 'delete quote', '[outcome.name] is gone'),
        );
        $last = $chat->memory()[Key::lastQuote()->id()] ?? 0;
        self::assertIsInt($last);
        [$first, $second] = [$last + 1, $last + 2];
        foreach (
            [
                '!keep The tide waits [for] nobody' => "Kept as $first: The tide waits [for] nobody",
                '!keep' => 'No: actions.no-text',
                '!keep It floats!' => "Kept as $second: It floats!",
                "!mend #$first The tide waits" => "$first was “The tide waits [for] nobody”",
                "!mend $first" => 'No: actions.no-text',
                "!forget $first" => "$first is gone",
                "!forget $first  " => "No: actions.no-quote $first $second",
                '!forget it' => 'No: actions.no-number it',
                '!forget 99999999999999999999' => 'No: actions.no-number 99999999999999999999',
                '!keep Again' => 'Kept as '.($second + 1).': Again',
            ] as $line => $answer
        ) {
            self::assertSame([$answer], $this->say($chat, $line)->texts(), $line);
        }
        $kept = Quote::fromRecord($second, $chat->memory()[Key::quote($second)->id()] ?? null);
        self::assertSame(['It floats!', 'Tamsin', 'Tamsin'], [$kept?->text, $kept?->by, $kept?->keptBy]);
        self::assertSame('2026-11-25T09:03:00Z', $kept?->date?->iso());
        self::assertArrayNotHasKey(Key::quote($first)->id(), array_filter($chat->memory()));
    }

    public function test_items_are_added_to_lists_that_take_them_and_stay_plain_text_of_people(): void
    {
        $lists = [
            'jobs' => new TextList(
                'jobs',
                [new WeightedText('Sand it, [caller]')],
                DrawOrder::InTurn,
                isResponses: true,
                isFromChat: true,
            ),
            'knots' => new TextList('knots', [new WeightedText('bowline')]),
        ];
        $pack = new Pack(Pack::blank()->channel, lists: $lists, flood: new Flood(0, 0), commands: [
            self::does('!add', 'add item', '[outcome.has]: [outcome.after] in [outcome.name]'),
            Say::on('!job', '[list.jobs]')->gated(Cooldown::none()),
            Say::on('!loud', '[list.jobs 4 | upper]')->gated(Cooldown::none()),
            Say::on('!third', '[list.jobs 3] of [list.jobs.size]')->gated(Cooldown::none()),
        ]);
        $chat = new Rehearsal($pack, new InitialState, '1', ChatProfile::stream());
        foreach (
            [
                '!third' => 'of 1',
                '!add jobs Oil the [words]' => '2: Oil the [words] in jobs',
                '!add JOBS oil the [WORDS]' => 'No: actions.item-known oil the [WORDS] jobs',
                '!add job x' => 'No: actions.no-list-but job jobs',
                '!add knots x' => 'No: actions.no-list knots',
                '!add jobs' => 'No: actions.no-text',
                '!add jobs '.str_repeat('x', AddedItems::LONGEST + 1) => 'No: actions.too-long '.AddedItems::LONGEST,
                '!add jobs Tar' => '3: Tar in jobs',
                '!job' => 'Sand it, Tamsin',
                '!job ' => 'Oil the [words]',
                '!job  ' => 'Tar',
                '!third x' => 'Tar of 3',
                // Neither chat nor another talker obeys what somebody added, also behind a filter.
                '!add jobs !boss' => '4: !boss in jobs',
                '!job now' => 'boss',
                '!loud' => 'BOSS',
            ] as $line => $answer
        ) {
            self::assertSame([$answer], $this->say($chat, $line)->texts(), $line);
        }
        // What the author has taken over, by its id, comes once.
        $kept = $chat->memory()[Key::addedItems('jobs')->id()];
        self::assertIsArray($kept);
        $own = new TextList('jobs', [new WeightedText('Oil the hinges', 1, $kept['items'][0]['id'])], isFromChat: true);
        $memory = new PartialView([Key::addedItems('jobs')->id() => $kept]);
        self::assertSame(['Tar', '!boss'], array_column(AddedItems::in($memory, $own), 'text'));
        $less = AddedItems::without($memory, $lists['jobs'], $kept['items'][1]['id'])->to;
        self::assertIsArray($less);
        self::assertSame(['Oil the [words]', '!boss'], array_column($less['items'], 'text'));
        // Whatever became of the first, the same text comes again as another.
        $again = AddedItems::more($memory, $own, 'Oil the [words]', Moment::fromIso(World::NOW) ?? new Moment(0))->to;
        self::assertIsArray($again);
        self::assertCount(4, array_unique([$kept['items'][0]['id'], ...array_column($again['items'], 'id')]));
    }

    public function test_what_people_have_is_given_bought_and_sold(): void
    {
        $chat = $this->chat(
            self::does('!give', 'give points', '[outcome.name] has them, [outcome.after] are left'),
            self::does('!buy', 'buy', 'A [outcome.name], [outcome.after] left'),
            self::does('!sell', 'sell', 'Sold'),
            self::does('!hand', 'hand on goods', '[outcome.name] has it, [outcome.after] left'),
            self::does('!in', 'check in', 'Day [outcome.after] in a row'),
        );
        foreach (
            [
                '!give @bram 5' => 'Bram has them, 35 are left',
                '!give nobody_here 5' => 'No: actions.nobody nobody_here',
                '!give' => 'No: actions.nobody-named',
                '!give @bram lots' => 'No: actions.no-amount lots',
                '!give tamsin 1' => 'No: actions.to-oneself pebbles',
                '!buy lantern' => 'A lantern, 5 left',
                '!buy lanter' => 'No: actions.no-goods-but lanter lantern',
                '!buy sails' => 'No: actions.no-goods sails',
                '!buy lantern none' => 'No: actions.no-count 1000',
                '!sell rope' => 'No: actions.not-bought-back rope',
                '!hand bram lantern 2' => 'Bram has it, 1 left',
                '!give bram ALL' => 'Bram has them, 0 are left',
                '!in' => 'Day 1 in a row',
                '!in ' => 'Day 1 in a row',
            ] as $line => $answer
        ) {
            self::assertSame([$answer], $this->say($chat, $line)->texts(), $line);
        }
    }

    public function test_where_a_step_behind_it_fails_nothing_was_done(): void
    {
        $chat = $this->chat(self::does('!give', 'give points', '[1 / 0]'));
        $outcome = $this->say($chat, '!give bram 5');
        self::assertSame([], $outcome->authoredChanges());
        self::assertNotNull($outcome->failed);
    }

    public function test_whatever_is_typed_nothing_is_lost_or_made(): void
    {
        $chat = $this->chat(
            self::does('!give', 'give points', '[outcome.after]'),
            self::does('!hand', 'hand on goods', '[outcome.after]'),
        );
        $sums = static function () use ($chat): array {
            $sums = ['pebbles' => 0, 'lantern' => 0];
            foreach ($chat->memory() as $id => $value) {
                $key = Key::fromId((string) $id);
                if ($key !== null && isset($sums[$key->name]) && is_int($value)) {
                    self::assertGreaterThanOrEqual(0, $value);
                    $sums[$key->name] += $value;
                }
            }

            return $sums;
        };
        $before = $sums();
        $luck = new Randomizer(new Mt19937(14));
        $words = explode(' ', 'bram @odo tamsin all -1 0 3 ２ 1e3 [caller] lantern “ @ 999');
        for ($line = 0; $line < 300; $line++) {
            $typed = array_map(
                static fn (int $key): string => $words[$key],
                $luck->pickArrayKeys($words, $luck->getInt(1, 4)),
            );
            $this->say($chat, ($luck->getInt(0, 1) === 0 ? '!give ' : '!hand ').implode(' ', $typed));
        }
        self::assertSame($before, $sums());
    }

    public function test_a_document_reads_each_and_tells_what_it_does_not_know(): void
    {
        foreach (Deeds::all() as $key => $deed) {
            $with = array_fill_keys(array_keys($deed->inputs()), '[words]');
            $typed = ['trigger' => '!x', 'responses' => [['steps' => [
                ['do' => $key] + ($with === [] ? [] : ['with' => $with]),
                ['say' => 'x'],
            ]]]];
            $document = Document::of($typed);
            $command = CommandFormat::read($document);
            self::assertSame([], $document->findings(), $key);
            self::assertSame($typed['responses'], CommandFormat::write($command)['responses'] ?? null);
        }
        $wrong = Document::of(['trigger' => '!x', 'responses' => [['steps' => [
            ['do' => 'sink ship'],
            ['do' => 'buy', 'with' => ['colour' => 'red']],
        ]]]]);
        CommandFormat::read($wrong);
        self::assertSame(
            ['/responses/0/steps/0/do', '/responses/0/steps/1/with/colour'],
            array_map(static fn (Finding $one): string => $one->at, $wrong->findings()),
        );
    }

    public function test_the_schema_and_the_words_know_each_deed_and_what_it_must_know(): void
    {
        $root = dirname(__DIR__, 3);
        /** @var array<string, mixed> $schema */
        $schema = json_decode((string) file_get_contents("$root/docs/formats/pack.schema.json"), true);
        $step = $schema['$defs']['step']['properties'];
        $words = require "$root/lang/en/deeds.php";
        $told = (string) file_get_contents("$root/docs/formats.md");
        $inputs = [];
        foreach (Deeds::all() as $key => $deed) {
            $inputs += $deed->inputs();
            $own = $words[strtr($key, ' ', '-')];
            self::assertSame(
                [],
                array_diff(['label', 'does', ...array_keys($deed->inputs())], array_keys($own)),
                $key,
            );
            self::assertStringContainsString("`$key`", $told);
            self::assertSame($deed instanceof EffectDeed, isset($own['did']), $key);
        }
        self::assertSame(array_keys(Deeds::all()), $step['do']['enum']);
        self::assertEqualsCanonicalizing(array_keys($inputs), array_keys($step['with']['properties']));
    }

    public function test_outcome_is_in_place_behind_a_step_that_gives_it_and_nowhere_else(): void
    {
        $found = static fn (Command $command): array => array_map(
            static fn (Finding $one): mixed => $one->data['name'],
            (new OutcomeOutOfPlace)->look(
                CheckContext::at(World::pack()->withCommands([$command]), new CheckEnvironment),
            ),
        );
        self::assertSame([], $found(self::does('!keep', 'keep quote', '[outcome.name] [outcome.after]')));
        self::assertSame(['outcome.left'], $found(self::does('!keep', 'keep quote', '[outcome.left]')));
    }

    public function test_what_a_step_goes_by_is_checked_as_what_is_read_and_not_as_what_is_said(): void
    {
        $found = static fn (string $text): array => array_map(
            static fn (Finding $one): string => "{$one->kind->code()} {$one->at}",
            Checks::ofCommand(
                self::does('!keep', 'keep quote', 'Kept.', ['text' => $text]),
                World::pack(),
                new CheckEnvironment,
            ),
        );
        self::assertSame(['no-cooldown /cooldown'], $found('[words]'), 'it is not said, so that no mark leads it');
        self::assertSame(['unknown-name /responses/0/steps/0/with/text', 'no-cooldown /cooldown'], $found('[wrods]'));
    }

    /** @param  array<string, string>  $with */
    private static function does(string $trigger, string $deed, string $says, array $with = []): Command
    {
        return CommandFormat::read(Document::of([
            'trigger' => $trigger,
            'responses' => [['steps' => [
                ['do' => $deed] + ($with === [] ? [] : ['with' => $with]),
                ['say' => $says],
            ]]],
            'if_it_fails' => 'No: [outcome.reason]',
        ]))->gated(Cooldown::none());
    }

    private function chat(Command ...$commands): Rehearsal
    {
        $pack = World::pack()->withCommands(array_values($commands));

        return new Rehearsal($pack, World::situation($pack), '1', ChatProfile::stream());
    }

    private function say(Rehearsal $chat, string $line): Outcome
    {
        // A minute apart, so that no flood gate closes.
        $at = (Moment::fromIso(World::NOW) ?? new Moment(0))->plusMillis(++$this->heard * 60_000);

        return $chat->line("line {$this->heard}", World::people()[0]->person(), $line, $at);
    }
}
