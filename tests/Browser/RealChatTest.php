<?php

declare(strict_types=1);

namespace Tests\Browser;

/** The harbour's chat, watched and written in, with the talker as it runs. */
final class RealChatTest extends BrowserTestCase
{
    public function test_one_watches_writes_sees_the_parrot_answer_opens_the_why_and_takes_the_line_into_write(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page
            ->go($this->url('/channels/1/publish'))
            ->press('Watch the real chat')
            ->sees('live updates', '#reading-along');
        $this->sayAs('quill', '!luck');
        $said = $page->waitFor(fn (): ?string => $this->saidLast(), 'the parrot answers');
        $page->script(
            '[...document.querySelectorAll("[data-air-why]")].filter((one) => '
                .'one.textContent.includes("!luck")).pop().click()',
        );
        $page->sees('!luck was triggered', '#air-why')->sees($said, '#air-why');
        $page->size(1280, 800);
        self::assertSame(
            0,
            $page->script(
                'const page = document.getElementById("left-page"); return page.scrollHeight - page.clientHeight',
            ),
            'the lines scroll, and the page does not',
        );
        $page
            ->press('Take it into Write, with !luck')
            ->sees('Begins with a line of the real chat')
            ->sees($said, '#lines')
            ->sees('Quill', '#lines');
        self::assertSame([], $page->complaints());
    }

    public function test_a_command_is_added_in_the_chat_marked_on_the_screen_and_undone_there(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url('/channels/1/publish/chat'))->sees('live updates', '#reading-along');
        $this->sayAs('bram', '!chalk oakum Roll it tight, [caller].');
        $page->sees('Chalked up: !oakum says Roll it tight, [caller].', '#air-lines');
        $this->sayAs('odo', '!oakum');
        $page->sees('Roll it tight, Odo.', '#air-lines');
        $page
            ->go($this->url('/channels/1/write?find=oakum'))
            ->sees('changed from chat', '#entries')
            ->press('!oakum', '#entries')
            ->sees('Bram changed it from chat')
            ->press('Look at it')
            ->sees('Bram added !oakum', '#left-page')
            ->press('undo', '#left-page')
            ->sees('Taken back, on the air and in the draft.');
        $page->go($this->url('/channels/1/write?find=oakum'))->sees('0 of', '#entries');
        $page->go($this->url('/channels/1/publish/chat'))->sees('live updates', '#reading-along');
        $before = substr_count($page->text('#air-lines'), 'Roll it tight, Odo.');
        $this->sayAs('odo', '!oakum');
        $this->sayAs('odo', 'is it gone?');
        $page->sees('is it gone?', '#air-lines');
        self::assertSame($before, substr_count($page->text('#air-lines'), 'Roll it tight, Odo.'));
        self::assertSame([], $page->complaints());
    }

    public function test_the_newest_line_is_followed_until_somebody_scrolls_up_and_older_lines_are_fetched(): void
    {
        $page = $this->browser;
        $this->wereHeard(130);
        $this->signIn($page);
        $page->go($this->url('/channels/1/publish/chat'))->sees('live updates', '#reading-along');
        $say = fn (string ...$lines): mixed => $page->script(
            'const [form, text] = ["air-say", "air-text"].map((id) => document.getElementById(id)); for (const line of '
                .json_encode($lines, JSON_THROW_ON_ERROR).') { text.value = line; form.requestSubmit(); }',
        );
        $say('quick line 1', 'quick line 2', '!tidee 3', 'quick line 4');
        foreach (['quick line 1', 'quick line 2', '!tidee 3', 'quick line 4'] as $line) {
            $page->sees($line, '#air-lines');
        }
        $place = 'const list = document.getElementById("air-lines"); return ';
        $gap = $place.'list.scrollHeight - list.scrollTop - list.clientHeight';
        self::assertLessThan(2, $page->script($gap));
        self::assertFalse($page->find('#newest')->isDisplayed());
        $page->script($place.'list.scrollTop = 100');
        $page->script(<<<'JS'
            const form = document.getElementById('air-say');
            const fields = new FormData(form);
            fields.set('text', 'one from elsewhere');
            fetch(form.action, { method: 'POST', body: fields, headers: { Accept: 'application/json' } });
            JS);
        $page->sees('one from elsewhere', '#air-lines');
        // A timer may have spoken meanwhile: it is told on the same button.
        self::assertMatchesRegularExpression('/\d+ new lines?$/', $page->text('#newest'));
        self::assertSame(100, $page->script($place.'list.scrollTop'));
        $page->click('#newest')->waitFor(fn (): bool => $page->script($gap) < 2, 'the newest is shown');
        $page->script($place.'list.scrollTop = 100');
        $page->waitFor(fn (): bool => $page->script('return document.getElementById("newest").hidden') === false, 'up');
        $say('quick line 5');
        $page->waitFor(fn (): bool => $page->script($gap) < 2, 'one’s own line is shown');

        $page->go($this->url('/channels/1/publish/chat'))->sees('Older lines', '#air-lines');
        $first = 'return document.querySelector("#air-lines .line").dataset.number';
        $was = (int) $page->script($first);
        $page->press('Older lines')->waitFor(fn (): bool => (int) $page->script($first) < $was, 'older lines come');
        $page->press('Unanswered only')->sees('!tidee 3', '#found-lines')->doesNotSee('quick line', '#found-lines');
        self::assertSame([], $page->complaints());
    }

    public function test_how_a_chat_looks_is_chosen_in_each_browser(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url('/channels/1/publish/chat'));
        $size = 'return getComputedStyle(document.querySelector(".lines")).fontSize';
        $was = (float) $page->script($size);
        $page->click('.display summary');
        $page->script(<<<'JS'
            const size = document.querySelector('[data-display=size]');
            size.value = 'large';
            size.dispatchEvent(new Event('change', { bubbles: true }));
            JS);
        self::assertGreaterThan($was, (float) $page->script($size));
        $page->go($this->url('/channels/1/rehearse'));
        self::assertGreaterThan($was, (float) $page->script($size));
        $page->script('localStorage.removeItem("chat-size")');
    }

    public function test_two_quick_lines_come_in_their_order_and_what_is_typed_meanwhile_stays(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url('/channels/1/publish/chat'))->sees('live updates', '#reading-along');
        $page->script(<<<'JS'
            const [form, text] = ['air-say', 'air-text'].map((id) => document.getElementById(id));
            for (const line of ['the first of two', 'the second of two']) {
                text.value = line;
                form.requestSubmit();
            }
            text.value = 'half a li';
            JS);
        $page->sees('the second of two', '#air-lines');
        self::assertMatchesRegularExpression('/the first of two.*the second of two/s', $page->text('#air-lines'));
        self::assertSame('half a li', $page->value('#air-text'));
        $page->script('document.getElementById("air-say").action = "/nowhere"');
        $page
            ->write('#air-text', 'said in vain')
            ->press('Say', '#air-say')
            ->waitFor(fn (): bool => $page->value('#air-text') === 'said in vain', 'the line is given back');
    }

    public function test_when_the_talker_dies_the_page_asks_by_itself_and_then_reads_along_again(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url('/channels/1/publish/chat'))->sees('live updates', '#reading-along');
        $epoch = $this->epoch();
        posix_kill($this->server('air'), SIGKILL);
        $page->sees('asking every two seconds', '#reading-along');
        $this->awaitTalker($epoch);
        $this->sayAs('maren', 'still afloat?');
        $page->sees('still afloat?', '#air-lines');
        $page->waitFor(fn (): bool => $page->text('#reading-along') === 'live updates', 'it reads along again', 60);
        self::assertSame(
            1,
            $page->script(
                'return [...document.querySelectorAll("#air-lines .text")].filter((one) => one.textContent === "still '
                    .'afloat?").length',
            ),
            'each line once',
        );
    }

    public function test_whoever_is_taken_out_of_a_channel_reads_no_further(): void
    {
        $database = $this->database();
        $page = $this->browser;
        $this->signInReader($page);
        $page->go($this->url('/channels/1/publish/chat'))->sees('live updates', '#reading-along');
        $page->doesNotSee('The harbour', '#right-page');
        $database->exec(
            'DELETE memberships FROM memberships JOIN users ON users.id = user_id WHERE email = '
                ."'nell@lantern-cove.example'",
        );
        $page->sees('asking every two seconds', '#reading-along');
        $other = Browser::open();
        try {
            $this->signIn($other);
            $other->go($this->url('/channels/1/publish/chat'));
            $other
                ->write('#air-text', 'a secret of the crew')
                ->press('Say', '#air-say')
                ->sees('a secret of the crew', '#air-lines');
        } finally {
            $other->close();
        }
        usleep(3_000_000);
        $page->doesNotSee('a secret of the crew');
    }

    /** So many lines of earlier evenings, which nobody has to write one by one. */
    private function wereHeard(int $lines): void
    {
        $this->database()->exec(
            <<<SQL
            INSERT INTO heard_lines (channel_id, number, at, kind, event_key, text, findable, person, edition, outcome,
                silence, memory, readings)
            SELECT 1, seq, NOW() - INTERVAL ($lines - seq) MINUTE - INTERVAL 1 DAY, 'heard', CONCAT('earlier-', seq),
                CONCAT('earlier line ', seq), CONCAT('earlier line ', seq, ' odo'),
                '{"id":"harbour:earlier","login":"odo","name":"Odo","levels":[],"tier":0}', 1, '', '', '{}', '{}'
            FROM seq_1_to_$lines
            SQL,
        );
    }

    private function sayAs(string $login, string $text): void
    {
        $this->browser->find("#air-as option[value=$login]")->click();
        $this->browser->write('#air-text', $text)->press('Say', '#air-say');
        $this->browser->sees($text, '#air-lines');
    }

    private function saidLast(): ?string
    {
        $text = $this->browser->script(
            'const all = [...document.querySelectorAll("#air-lines .line")]; const at = all.findLastIndex((one) => '
                .'one.textContent.includes("!luck")); const said = all.slice(at + 1).find((one) => '
                .'one.classList.contains("is-said")); return said?.querySelector(".text").textContent ?? ""',
        );

        return is_string($text) && $text !== '' ? $text : null;
    }

    private function epoch(): int
    {
        return (int) $this->database()->query('SELECT lease_epoch FROM channels WHERE id = 1')->fetchColumn();
    }

    private function awaitTalker(int $after): void
    {
        for ($tries = 0; $tries < 800; $tries++) {
            if (
                $this->database()
                    ->query(
                        "SELECT COUNT(*) FROM channels WHERE id = 1 AND lease_epoch > $after AND air_state = "
                            ."'moderator' AND air_seen_at > UTC_TIMESTAMP(3) - INTERVAL 1300000 MICROSECOND",
                    )
                    ->fetchColumn() === 1
            ) {
                return;
            }
            usleep(50_000);
        }
        self::fail('The talker is not there.');
    }
}
