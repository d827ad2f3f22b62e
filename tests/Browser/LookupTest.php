<?php

declare(strict_types=1);

namespace Tests\Browser;

/** From a pasted address to an answer in the chat, by clicking. */
final class LookupTest extends BrowserTestCase
{
    /** All of these tests share one demo. */
    protected function tearDown(): void
    {
        $this->database()->exec("DELETE FROM commands WHERE channel_id = 1 AND `trigger` IN ('!sea', '!fog')");
        $this->database()->exec("DELETE FROM lookups WHERE channel_id = 1 AND name IN ('sea', 'fog')");
        parent::tearDown();
    }

    public function test_a_value_is_chosen_in_what_came_back_published_and_heard_in_the_chat(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url('/channels/1/remember/lookups'))->write('#lookup-form [name=name]', 'sea');
        $page->write('#address', 'https://sources.harbour.example/tides/23')->press('23', '[data-parts]');
        self::assertSame('https://sources.harbour.example/tides/{number}', $page->value('#address'));
        $page->press('Ask now', '#right-page')->sees('What came back', '#lookup-answer');
        $page->write('[data-tree-find]', 'tregarn');
        $shown = 'return [...document.querySelectorAll("#lookup-answer .found-value")].filter((one) => '
            .'one.checkVisibility()).map((one) => one.textContent)';
        $page->waitFor(static fn (): bool => $page->script($shown) === ['Tregarn'], 'only what was sought is shown');
        // The arrow keys walk the tree, and close and open what holds others.
        $page->script('document.querySelector(".answer-tree summary").focus()');
        $page->type("\u{E015}")->type("\u{E015}");
        self::assertSame('Tregarn', $page->script('return document.activeElement.textContent'));
        $page->type("\u{E013}")->type("\u{E012}");
        self::assertSame([], $page->script($shown));
        $page->type("\u{E014}");
        $page->press('Tregarn', '#lookup-answer')->sees('name Tregarn', '#lookup-values');
        self::assertSame('port.name', $page->value('#lookup-form [name="readings[0][path]"]'));
        $page->press('Save', '#lookup-form')->sees('lookup.sea is saved.');
        $page
            ->go($this->url('/channels/1/write/commands/new'))
            ->write('[name=trigger]', '!sea')
            ->write('[data-response] .cm-content', 'The sea is at [lookup.sea.name number=23].');
        // What came back is what the preview says.
        $page->sees('The sea is at Tregarn.', '#preview')->press('Save', '.save-bar')->sees('Saved.', '#save-state');
        $page->go($this->url('/channels/1/publish'))->press('Publish', 'main')->sees('is on the air');
        $page->go($this->url('/channels/1/publish/chat'))->sees('live updates', '#reading-along');
        $page->find('#air-as option[value=odo]')->click();
        // A talker follows a new edition within two seconds.
        $page->waitFor(function () use ($page): bool {
            $page->write('#air-text', '!sea')->press('Say', '#air-say');
            usleep(1_000_000);

            return str_contains($page->text('#air-lines'), 'The sea is at Tregarn.');
        }, 'the parrot says what the source said', 40);
        self::assertSame([], $page->complaints());
    }

    public function test_a_source_that_goes_down_in_the_middle_is_told_of_and_never_read_aloud(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url('/channels/1/remember/lookups'))->write('#lookup-form [name=name]', 'fog');
        $page->write('#address', 'https://sources.harbour.example/word');
        $page->find('#lookup-form [name=format] option[value=text]')->click();
        $page->press('Ask now', '#right-page')->sees('What came back', '#lookup-answer');
        $page->script('document.querySelectorAll("#lookup-answer .found-value")[1].click()');
        // Nothing is kept, neither while it answers nor while it does not.
        $page->script('for (const one of ["least", "most", "stale"]) '
            .'document.querySelector(`[name="keep[${one}]"]`).value = "0"');
        $page->press('Save', '#lookup-form')->sees('lookup.fog is saved.');
        // What is written of it in rehearsals is chosen on the same page.
        $page->press('edit a copy', '#lookup-canned')->write('[name=canned_name]', 'thick');
        $page->script('document.querySelector("[name=canned_body]").value = "word: pea soup\\nmeans: thick"');
        $page->press('Keep and use it', '#lookup-answer');
        $page->sees('“thick”', '#lookup-canned');
        $page->go($this->url('/channels/1/write/commands/new'))->write('[name=trigger]', '!fog');
        $page->write('[name="gates[cooldown][channel]"]', '0')->write('[name="gates[cooldown][person]"]', '0');
        $page->write('[data-response] .cm-content', 'Fog: [lookup.fog.word or "nobody knows"]!');
        $page->sees('Fog: pea soup!', '#preview')->press('Save', '.save-bar')->sees('Saved.', '#save-state');
        $page->go($this->url('/channels/1/publish'))->press('Publish', 'main')->sees('is on the air');
        $page->go($this->url('/channels/1/publish/chat'))->sees('live updates', '#reading-along');
        $page->find('#air-as option[value=odo]')->click();
        $says = fn (string $pattern) => $page->waitFor(function () use ($page, $pattern): bool {
            $page->write('#air-text', '!fog')->press('Say', '#air-say');
            usleep(1_000_000);

            return preg_match($pattern, $page->text('#air-lines')) === 1;
        }, "the parrot says $pattern", 40);
        // The real one, whatever is rehearsed.
        $says('/Fog: (?!pea soup|nobody)\w+!/');
        $this->toHarbour('/sources/troubles', ['source' => 'word', 'kind' => 'error_page', 'seconds' => 600]);
        $says('/Fog: nobody knows!/');
        self::assertStringNotContainsString('Gone fishing', $page->text('#air-lines'));
        $this->toHarbour('/sources/troubles', ['source' => 'word', 'kind' => 'none', 'seconds' => 1]);
        self::assertSame([], $page->complaints());
    }

    public function test_a_host_that_was_never_allowed_is_not_asked_until_the_streamer_says_so(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $this->database()->exec("DELETE FROM allowed_hosts WHERE host = 'sources.harbour.example'");
        $page->go($this->url('/channels/1/remember/lookups?edit=weather'));
        $page->sees('isn’t allowed yet', '#left-page');
        $page->write('#lookup-form [name=name]', 'sky');
        $page->press('Ask now', '#right-page')->sees('was never allowed, so nobody asked it', '#lookup-answer');
        $page->press('Allow sources.harbour.example', '#lookup-answer')->sees('sky', '#lookup-answer');
        $page->doesNotSee('never allowed');
        self::assertSame('sky', $page->value('#lookup-form [name=name]'));
        // A % that encodes nothing is an address that was pasted wrong, not the end of the page.
        $page->write('#address', 'https://sources.harbour.example/100%/ports?name=50%');
        $page->sees('100%', '[data-part-list]');
        self::assertSame([], $page->complaints());
    }
}
