<?php

declare(strict_types=1);

namespace Tests\Browser;

/** A script that fails until its command is mended; an evening with a crowd, from the button to one line in Write. */
final class RehearsalRoomTest extends BrowserTestCase
{
    /** A worker begins when it comes to it, and other suites want the processor too: in seconds. */
    private const PATIENCE = 120;

    protected function setUp(): void
    {
        parent::setUp();
        $this->clear();
    }

    protected function tearDown(): void
    {
        $this->clear();
        parent::tearDown();
    }

    /** All of these tests share one demo, which has scripts of its own. */
    private function clear(): void
    {
        $this->database()->exec("DELETE FROM commands WHERE channel_id = 1 AND `trigger` = '!brew'");
        $this->database()->exec('DELETE FROM scripts WHERE channel_id = 1');
        $this->database()->exec('DELETE FROM rehearsals WHERE channel_id = 1');
    }

    public function test_a_script_fails_the_command_is_mended_and_it_holds(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page
            ->go($this->url('/channels/1/write/commands/new'))
            ->write('[name=trigger]', '!brew')
            ->write('[data-response] .cm-content', 'Tee for [caller].');
        $page->press('Save', '.save-bar')->sees('Saved.', '#save-state');
        $page->go($this->url('/channels/1/rehearse'));
        $this->say('!brew', 'tamsin');
        $page->press('Save this chat as a script', '#heard')->sees('It holds.', '#script-result');
        // The author says what it should have been.
        $page->script('const text = document.getElementById("script-text"); '
            .'text.value = text.value.replace("Tee for", "Tea for")');
        $page->press('Run', '#script-form')->sees('It does not hold.', '#script-result');
        $page->sees('TeaTee for Tamsin', '#script-result');
        $page->press('Save', '#script-form')->sees('1 of 1 does not hold.', '#left-page');
        $page->press('Take it into Write', '#script-result')->sees('Begins with a line of a rehearsal', '#heard');
        $page->sees('Tee for Tamsin.', '#lines');
        $page->write('[data-response] .cm-content', 'Tea for [caller].')->press('Save', '.save-bar');
        $page->sees('Saved.', '#save-state');
        $page->go($this->url('/channels/1/publish'))->sees('It holds.', '#publish-scripts');
        $page->go($this->url('/channels/1/rehearse/scripts'))->sees('It holds.', '#scripts-stand');
        self::assertSame([], $page->complaints());
    }

    public function test_scripts_are_suggested_and_what_they_do_not_reach_is_marked_in_the_text(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $path = $this->commandPath('!splinter');
        $page->go($this->url($path))->sees('None reaches !splinter yet.', '#coverage');
        $page->press('Suggest scripts', '#coverage')->sees('Reaches', '.suggested');
        self::assertSame([], $page->barriers());
        $page->size(390, 800);
        self::assertSame([], $page->barriers(), 'on a phone');
        self::assertLessThanOrEqual(390, $page->script('return document.documentElement.scrollWidth'));
        $page->size(1280, 800);
        // All but the first are left out.
        $page->script(
            '[...document.querySelectorAll(".suggested [type=checkbox]")].slice(1).forEach((one) => one.click())',
        );
        $page->press('Keep the chosen ones')->sees('The script is kept.');
        $page->sees('% of this pack', '#left-page');
        $page->click('#scripts-stand .entry a')->sees('It holds.', '#script-result');
        self::assertSame([], $page->barriers());
        $page->size(390, 800);
        self::assertSame([], $page->barriers(), 'on a phone');
        $page->size(1280, 800);
        $page->go($this->url($path))->sees('[when counter.splinters > 10] never holds', '#unreached');
        $page->sees('They reach 3 of 6 in !splinter.', '#coverage');
        $marked = 'return [...document.querySelectorAll(".is-unreached")].map((one) => one.textContent).join("")';
        self::assertSame('[when counter.splinters > 10]', $page->script($marked));
        self::assertSame([], $page->barriers());
        $page->script("document.documentElement.dataset.bsTheme = 'dark'");
        self::assertSame([], $page->barriers(), 'by night');
        // They are of what is saved.
        $page->find('[data-response] .cm-content')->click();
        $page->type(' Mind your hands.');
        $page->waitFor(static fn (): bool => $page->script($marked) === '', 'the marks go with the text');
        $page->script('localStorage.clear()');
        self::assertSame([], $page->complaints());
    }

    public function test_an_evening_is_stopped_heard_again_and_one_of_its_lines_taken_into_write(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url('/channels/1/rehearse/crowd?crowd=crowded'));
        $page->press('Hear it')->press('Stop', '#left-page');
        $page->waitFor(
            static fn (): bool => str_contains($page->text('#left-page'), 'It was stopped'),
            'it stops',
            self::PATIENCE,
        );
        $page->go($this->url('/channels/1/rehearse/crowd?crowd=quiet'));
        $page->write('[name=lines]', '300')->write('[name=seed]', 'gull')->press('Hear it');
        $this->isHeard();
        self::assertSame([], $page->barriers());
        // By keyboard, from moment to moment.
        $page->script('document.querySelector(".evening-and-why .scrolls").focus()');
        $page->type("\u{E014}");
        $label = 'return document.activeElement.getAttribute("aria-label")';
        $first = $page->script($label);
        self::assertIsString($first);
        $page->type("\u{E015}");
        self::assertNotSame($first, $page->script($label));
        // Why was a line refused?
        $page->script('document.querySelector(".mark.is-held_back").focus()');
        $held = $page->script($label);
        self::assertIsString($held);
        $page->type("\u{E007}")->sees('no reply', '#moment')->sees('Take it into Write', '#moment');
        self::assertSame([], $page->barriers());
        $page->script("document.documentElement.dataset.bsTheme = 'dark'");
        self::assertSame([], $page->barriers(), 'by night');
        $page->size(390, 800);
        self::assertSame([], $page->barriers(), 'on a phone');
        self::assertLessThanOrEqual(390, $page->script('return document.documentElement.scrollWidth'));
        $page->size(1280, 800);
        $page->press('+ closer', '.evening-bar');
        $page->waitFor(
            static fn (): bool => $page->script('return document.querySelector("[name=from]").value') !== '0',
            'it is zoomed',
        );
        $page->press('⤢ all', '.evening-bar');
        $page->waitFor(
            static fn (): bool => $page->script('return document.querySelector("[name=from]").value') === '0',
            'all is seen',
        );
        $page->waitFor(
            static fn (): bool => $page->script('return document.querySelector(".htmx-request, .htmx-swapping, '
                .'.htmx-settling, .htmx-added") === null'),
            'the picture stands',
        );
        $page->script(
            'document.querySelector(".mark.is-held_back").dispatchEvent(new MouseEvent("click", {bubbles: true}))',
        );
        $page->press('Take it into Write', '#moment')->sees('Begins with a line of a rehearsal', '#heard');
        $page->sees('no reply', '#lines');
        self::assertSame([], $page->complaints());
    }

    public function test_a_log_is_brought_and_last_night_is_heard_against_the_draft(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $log = (string) tempnam(sys_get_temp_dir(), 'log');
        $lines = '';
        for ($minute = 10; $minute < 40; $minute++) {
            $lines .= "[20:$minute] tamsin: !dry\n[20:$minute] odo: what is the mast made of?\n";
        }
        file_put_contents($log, $lines);
        $page->go($this->url('/channels/1/rehearse/replay'));
        $page->find('input[type=file]')->sendKeys($log);
        $page->press('Upload', '#left-page')->sees('60 can be read', '#left-page');
        self::assertSame([], $page->barriers());
        $page->press('Hear it', '#left-page');
        $this->isHeard();
        $page->sees('30 times: what is the mast made of?', '.replayed');
        unlink($log);
        // The real chat: answered as published, and in the draft otherwise.
        $page
            ->go($this->url('/channels/1/write/commands/new'))
            ->write('[name=trigger]', '!brew')
            ->write('[data-response] .cm-content', 'Tea for [caller].');
        $page->press('Save', '.save-bar')->sees('Saved.', '#save-state');
        $page->go($this->url('/channels/1/publish'))->press('Publish', 'main')->sees('is on the air');
        $page->go($this->url('/channels/1/publish/chat'))->sees('live updates', '#reading-along');
        $page->find('#air-as option[value=odo]')->click();
        // A talker follows a new edition within two seconds.
        $page->waitFor(static function () use ($page): bool {
            $page->write('#air-text', '!brew')->press('Say', '#air-say');
            usleep(1_000_000);

            return str_contains($page->text('#air-lines'), 'Tea for Odo.');
        }, 'the parrot answers', 40);
        $page->go($this->url($this->commandPath('!brew')));
        $page->write('[data-response] .cm-content', 'Coffee for [caller].');
        $page->press('Save', '.save-bar')->sees('Saved.', '#save-state');
        $page->go($this->url('/channels/1/rehearse/replay'))->write('[name=hours]', '1');
        $page->press('Compare', '#left-page');
        $page->waitFor(
            static fn (): bool => str_contains($page->text('#left-page'), 'Answered differently'),
            'the night is compared',
            self::PATIENCE,
        );
        $page->sees('TeaCoffee for Odo.', '#left-page')->click('details.twice summary')->sees('on the air', '.whys');
        self::assertSame([], $page->barriers());
        self::assertSame([], $page->complaints());
    }

    private function isHeard(): void
    {
        $this->browser->waitFor(
            fn (): bool => str_contains($this->browser->text('#left-page'), '% of the chat'),
            'it is heard',
            self::PATIENCE,
        );
    }
}
