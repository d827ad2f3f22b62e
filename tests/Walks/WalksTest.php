<?php

declare(strict_types=1);

namespace Tests\Walks;

use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Browser\BrowserTestCase;
use WebDriver\WebDriverKeys;

/**
 * Sixteen jobs of an author, from the interface alone, each with what it costs. The figures stand in docs/walks.md; to
 * write them anew: PARROT_WALKS=1 bin/parrot test --only=walks.
 */
final class WalksTest extends BrowserTestCase
{
    protected const CROWD = 12;

    private const TABLE = __DIR__.'/../../docs/walks.md';

    /** At most so many presses. */
    private const TARGETS = [
        'A first command with three links, heard in the chat' => 12,
        'A count for each category' => 15,
        'Thirty commands imported, five of them wrong' => 10,
        '“It did not answer me”: from the chat to a published fix' => 8,
    ];

    /** @var array<string, array{int, int}> */
    private static array $walked = [];

    /** @return iterable<string, array{string, string}> the job, and the method that does it */
    public static function jobs(): iterable
    {
        foreach (
            [
                'A first command with three links, heard in the chat' => 'links',
                'A shout-out for moderators, with nobody and with somebody unknown' => 'shoutOut',
                'Five random replies, one of them rarer' => 'randomReplies',
                'A question answered by chance' => 'byChance',
                'A count for each category' => 'countByCategory',
                'Days since an occasion' => 'daysSince',
                'A greeting by level' => 'greetingByLevel',
                'A cooldown understood' => 'cooldown',
                'A percentage with remarks' => 'percentage',
                'Thirty commands imported, five of them wrong' => 'import',
                'Finding, switching and deleting among three hundred' => 'amongMany',
                '“It did not answer me”: from the chat to a published fix' => 'itDidNotAnswer',
                'Wrong input everywhere, and nothing lost' => 'wrongInput',
                'All by keyboard, and tried on a phone' => 'keyboardAndPhone',
                'A reader invited' => 'inviteReader',
                'Fifty quick lines in the real chat' => 'quickLines',
            ] as $job => $method
        ) {
            yield $job => [$job, $method];
        }
    }

    #[DataProvider('jobs')]
    public function test_a_job_is_done_from_the_interface_alone(string $job, string $method): void
    {
        $walker = new Walker($this->browser);
        $this->browser->go($this->signInLink())->sees('Commands');
        $this->{$method}($walker);
        // That something could not be saved is told in the console too.
        self::assertSame([], array_filter(
            $this->browser->complaints(),
            static fn (string $one): bool => ! str_contains($one, 'status of 422'),
        ));
        self::$walked[$job] = [$walker->presses, $walker->keys];
        self::assertLessThanOrEqual(self::TARGETS[$job] ?? 100, $walker->presses, $job);
        if (getenv('PARROT_WALKS') === false) {
            self::assertStringContainsString(
                "| $job | {$walker->presses} | {$walker->keys} |",
                (string) file_get_contents(self::TABLE),
            );
        }
    }

    public static function tearDownAfterClass(): void
    {
        if (getenv('PARROT_WALKS') !== false) {
            $rows = '';
            foreach (self::$walked as $job => [$presses, $keys]) {
                $rows .= "| $job | $presses | $keys | ".(self::TARGETS[$job] ?? '')." |\n";
            }
            file_put_contents(self::TABLE, <<<MD
                # What an author’s jobs cost

                Each job is walked by a browser in the tests (`tests/Walks`), from the interface alone, beginning on
                the page after signing in. A press is a click, a touch, or a key that does something (Enter, Ctrl+S);
                keys are letters that are typed.

                | job | presses | keys | at most |
                |---|---|---|---|
                $rows
                MD);
        }
        parent::tearDownAfterClass();
    }

    private function begin(Walker $walker, string $trigger, string $response): Walker
    {
        $walker->press('New command');
        $walker->page->find('#command .cm-content');

        return $walker->type($trigger)->write('[data-response] .cm-content', $response);
    }

    private function links(Walker $walker): void
    {
        $this->begin(
            $walker,
            'charts',
            'Charts https://charts.lantern-cove.example log https://log.lantern-cove.example crew '
                .'https://crew.lantern-cove.example',
        );
        $walker->tries('!charts')->sees('https://crew.lantern-cove.example', '#lines');
        $walker->save()->sees('!charts is saved.')->press('Publish this')->sees('is on the air.');
        $walker->click('.tabs [href$="/publish"]')->press('Watch the real chat');
        $walker->sees('live updates', '#reading-along');
        $walker->write('#air-text', '!charts')->enter();
        $walker->page->waitFor(
            fn (): bool => (bool) $walker->page->script(
                'return [...document.querySelectorAll("#air-lines .is-said")].some((one) => '
                    .'one.textContent.includes("https://crew.lantern-cove.example"))',
            ),
            'it is answered in the chat',
            30,
        );
    }

    private function shoutOut(Walker $walker): void
    {
        $walker->press('New command')->press('a shout-out')->sees('Pay a visit', '[data-response]');
        $walker->sees('!shout is used already')->write('[name=trigger]', '!visit');
        $walker->tries('!visit @odo', 'bram')->sees('Pay a visit to Odo', '#lines');
        $walker->press('+10 s')->tries('!visit')->sees('Name somebody', '#lines');
        $walker->press('+10 s')->tries('!visit @nobody_here')->sees('Pay a visit to nobody_here', '#lines');
        $walker->tries('!visit @odo', 'tamsin')->sees('it is for moderators and up', '#lines');
        $walker->save()->sees('!visit is saved.');
    }

    private function randomReplies(Walker $walker): void
    {
        $this->begin($walker, 'gull', 'The gull laughs.');
        foreach (['The gull sleeps.', 'The gull steals a chip.', 'The gull nods.', 'A golden gull!'] as $reply) {
            $walker->press('Add a random reply')->type($reply);
        }
        foreach ([0, 1, 2, 3] as $common) {
            $walker->write("[name=\"responses[$common][weight]\"]", '3');
        }
        $walker->sees('(8 %)', '[data-response]:last-child');
        $walker->click('[name=all]')->sees('A golden gull!', '#preview')->save()->sees('!gull is saved.');
    }

    private function byChance(Walker $walker): void
    {
        $this->begin($walker, 'ask', '[either "Aye", "No", "Ask the gull"], [caller].');
        $walker->sees(', Tamsin.', '#preview')->tries('!ask will it float?')->sees(', Tamsin.', '#lines');
        $walker->save()->sees('!ask is saved.');
    }

    private function countByCategory(Walker $walker): void
    {
        $this->begin($walker, 'oops', 'Oops: [add 1 to counter.splinters] while [channel.category].');
        $walker->tries('!oops')->sees('Oops: ', '#lines')->sees('counter.splinters (Planking)', '#lines');
        $walker->save()->sees('!oops is saved.');
    }

    private function daysSince(Walker $walker): void
    {
        $this->begin($walker, 'leakless', '[since occasion.leak | in days | plural "# day" "# days"] without a leak.');
        $walker->sees('without a leak.', '#preview')->save()->sees('!leakless is saved.');
    }

    private function greetingByLevel(Walker $walker): void
    {
        $this->begin($walker, 'welcome', '[when caller.levels contains "moderator"]Aye aye[else]Hello[end], [caller].');
        $walker->tries('!welcome', 'bram')->sees('Aye aye, Bram.', '#lines');
        $walker->press('+10 s')->tries('!welcome', 'tamsin')->sees('Hello, Tamsin.', '#lines');
        $walker->save()->sees('!welcome is saved.');
    }

    private function cooldown(Walker $walker): void
    {
        $walker->tries('!knot', 'tamsin')->sees('tie us a', '#lines');
        $walker->tries('!knot', 'pia')->sees('on cooldown: 9 s left', '#lines');
        $walker->press('Move the clock forward 9 s', '#lines')->tries('!knot', 'pia')->sees('Pia, tie us a', '#lines');
    }

    private function percentage(Walker $walker): void
    {
        $this->begin($walker, 'wind', '[roll 1 to 100 as wind] % wind[when wind > 80], reef![else].[end]');
        $walker->sees('% wind', '#preview')->click('[name=all]')->sees(', reef!', '#preview');
        $walker->save()->sees('!wind is saved.');
    }

    private function import(Walker $walker): void
    {
        $lines = "command\treply\tlevel\tcooldown (s)\n";
        for ($at = 1; $at <= 25; $at++) {
            $lines .= "!brought$at\tAnswer $at for [caller].\teveryone\t15\n";
        }
        $lines .= "!wrong1\tHi {user}\teveryone\t15\n!wrong2\tHi [caler]\teveryone\t15\n!wrong3\tHi\tcaptains\t15\n"
            ."!tide\tTaken\teveryone\t15\ntwo [words\tHi\teveryone\t15";
        $walker->press('Import');
        $walker->page->find('#pasted');
        // Pasted at once: two presses, as by Ctrl+V.
        $walker->click('#pasted');
        $walker->presses++;
        $walker->page->script('document.getElementById("pasted").value = '.json_encode($lines));
        $walker->press('Check')->sees('30 commands')->press('Fix all 2 that can be fixed');
        $walker->sees('Hi [caller]')->sees('“captains” is not a level.')->press('Import 27 commands');
        $walker->sees('27 commands imported. 3 commands stayed behind.');
    }

    private function amongMany(Walker $walker): void
    {
        $trigger = 'IF(seq = 217, "!sextant", CONCAT("!many", seq))';
        $this->database()->exec(
            'INSERT INTO commands (channel_id, stable_id, `trigger`, trigger_folded, gates, refusals, if_it_fails, '
                .'listed, `group`, note, voice, place, findable, revision) SELECT 1, CONCAT("many-", seq), '
                ."$trigger, $trigger, "
                .'"{}", "[]", "", 1, "", "", "parrot", "chat", '
                .'IF(seq = 217, "!sextant", CONCAT("!many", seq)), 1 FROM seq_1_to_300',
        );
        $walker->write('[data-find]', 'sextant')->sees('1 of');
        $walker->press('switch off', '#entries')->sees('!sextant is switched off.');
        $walker->press('delete', '#entries')->sees('!sextant was deleted.')->press('Undo')->sees('is restored.');
        $this->database()->exec("DELETE FROM commands WHERE stable_id LIKE 'many-%'");
    }

    private function itDidNotAnswer(Walker $walker): void
    {
        $this->publishAll($walker);
        $walker->page->go($this->url('/channels/1/publish/chat'))->sees('live updates', '#reading-along');
        $walker->page->find('#air-as option[value=odo]')->click();
        $walker->page->write('#air-text', '!launch now')->press('Say', '#air-say')->sees('!launch now', '#air-lines');
        $walker->page->sees('no reply', '#air-lines');
        // From here on it counts.
        $walker->page->script(
            'window.walked = [...document.querySelectorAll("[data-air-why]")].filter((one) => '
                .'one.textContent.includes("!launch now")).pop()',
        );
        $walker->presses++;
        $walker->page->script('window.walked.click()');
        $walker->sees('it is for the streamer', '#air-why')->press('Take it into Write, with !launch');
        $walker->page->find('#command');
        $walker->choose('[name="gates[levels][who]"]', 'everyone');
        $walker->sees('Odo', '#lines')->sees('A new hull', '#lines');
        $walker->save()->sees('!launch is saved.')->press('Publish this')->sees('is on the air.');
    }

    private function publishAll(Walker $walker): void
    {
        $walker->page->go($this->url('/channels/1/publish'));
        if ($walker->page->all('.changes-list li') !== []) {
            $walker->page->press('Publish', '.publish-form')->sees('is on the air.');
        }
    }

    private function wrongInput(Walker $walker): void
    {
        $walker->press('New command');
        $walker->write('[name=trigger]', '!two [words')->write('[data-response] .cm-content', 'Open [caler');
        $walker->sees('Nothing is named caler.', '#findings');
        $walker->shortcut(WebDriverKeys::ESCAPE)->press('Add a random reply')->type('fine');
        $walker->write('[name="responses[1][weight]"]', 'half');
        $walker->write('[name="gates[cooldown][channel]"]', 'often')->save();
        $walker->sees('Enter a trigger, for example !tide.')->sees('Expected a whole number')->sees('Not saved.');
        self::assertSame('!two [words', $walker->page->value('[name=trigger]'));
        self::assertSame('often', $walker->page->value('[name="gates[cooldown][channel]"]'));
        $walker->sees('Open [caler', '[data-response]');
        $walker->page->script('localStorage.clear()');
    }

    private function keyboardAndPhone(Walker $walker): void
    {
        $walker->shortcut('n');
        $walker->page->find('#command .cm-content');
        $walker->type('quay');
        // From the trigger to the text: as many tabs as there are fields between.
        for ($tab = 0; $tab < 12 && $walker->page->script(
            'return document.activeElement.closest("[data-response]") === null',
        ) === true; $tab++) {
            $walker->shortcut(WebDriverKeys::TAB);
        }
        $walker->type('At the quay, ')->save()->sees('!quay is saved.');
        $walker->page->find('#command .cm-content');
        $walker->page->script('document.querySelector("#command .cm-content").focus()');
        $walker->shortcut(WebDriverKeys::CONTROL, WebDriverKeys::ENTER)->type('!quay')->enter();
        $walker->sees('At the quay,', '#lines');
        $walker->page->size(390, 800);
        $walker->page->go($this->url($this->commandPath('!quay')));
        $walker->press('Chat', '.turn')->tries('!quay')->sees('At the quay,', '#lines');
    }

    private function inviteReader(Walker $walker): void
    {
        $walker->click('.me summary')->press('Members', '.me-sheet')->choose('#role', 'reader');
        $walker->press('Create an invitation')->sees('Share this link.');
        $link = $walker->page->value('#link');
        $walker->click('.me summary')->press('Sign out', '.me-sheet');
        $walker->page->sees('Sign in');
        $walker->page->go($link)->sees('as reader');
        $walker->press('Register');
        $walker->write('#name', 'Signe')->write('#email', 'signe@lantern-cove.example');
        $walker->write('#password', 'a long enough password')->write(
            '#password_confirmation',
            'a long enough password',
        );
        $walker->press('Register', 'main')->sees('Sign in');
        $walker->write('#email', 'signe@lantern-cove.example')->write('#password', 'a long enough password');
        $walker->press('Sign in', 'main')->press('Join as Signe')->sees('You are in Lantern Cove now.');
        $walker->page->doesNotSee('New command');
    }

    private function quickLines(Walker $walker): void
    {
        $walker->click('.tabs [href$="/publish"]')->press('Watch the real chat');
        $walker->sees('live updates', '#reading-along');
        $walker->click('#air-text');
        for ($line = 1; $line <= 50; $line++) {
            $walker->type("line $line")->enter();
        }
        self::assertSame(
            range(1, 50),
            $walker->page->waitFor(function () use ($walker): ?array {
                /** @var list<string> $said */
                $said = $walker->page->script(
                    'return [...document.querySelectorAll("#air-lines .line:not(.is-said) .text")].map((one) => '
                        .'one.textContent).filter((one) => /^line \d+$/.test(one))',
                );

                return count($said) < 50
                    ? null
                    : array_map(static fn (string $one): int => (int) substr($one, 5), $said);
            }, 'fifty lines', 30),
        );
    }
}
