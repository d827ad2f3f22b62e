<?php

declare(strict_types=1);

namespace Tests\Browser;

/** What is typed survives what happens to browsers and sessions. */
final class NothingLostTest extends BrowserTestCase
{
    public function test_after_a_lost_session_the_text_waits_on_its_page(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $path = $this->commandPath('!dry');
        $page
            ->go($this->url($path))
            ->write('[data-response] .cm-content', 'Dry for [since occasion.leak], [caller].')
            ->sees('Not saved; kept on this machine.');
        $this->endSessions();
        $page->press('Save')->sees('Your session had ended, so nothing was saved yet.');
        $this->fillInDoor($page);
        $page->sees('You typed something here')->sees('since the last leak', '#left-page');
        $page
            ->press('Restore it')
            ->sees('Dry for [since occasion.leak], [caller].', '[data-response]')
            ->sees('Dry for ', '#preview');
        $page->press('Save')->sees('!dry is saved.')->doesNotSee('You typed something here');
        $page->go($this->url($path))->sees('Dry for')->doesNotSee('You typed something here');
    }

    public function test_what_is_typed_while_a_command_is_saved_stays_and_is_saved_next(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        foreach ([$this->commandPath('!crew'), '/channels/1/write/commands/new'] as $path) {
            $page->go($this->url($path));
            if (str_ends_with($path, 'new')) {
                $page->write('[name=trigger]', '!hull');
            }
            $page->write('[data-response] .cm-content', 'Tied by [caller]');
            // No answer comes before all is typed.
            $page->script(<<<'JS'
                const quick = window.fetch;
                const typed = new Promise((resolve) => (window.letAnswersCome = resolve));
                window.fetch = async (...asked) => {
                    const answer = await quick(...asked);
                    await typed;
                    return answer;
                };
                document.getElementById('command').requestSubmit();
                JS);
            $page->type(' and by [target]')->script('window.letAnswersCome()');
            $page->sees('is saved.');
            $page->sees('Tied by [caller] and by [target]', '[data-response]');
            $page->sees('Not saved; kept on this machine.')->press('Save')->sees('Saved.', '#save-state');
            // The page goes on as before: the next letter is previewed too.
            $page->write('[data-response] .cm-content', 'Tied, [caller].')->sees('Tied, Tamsin.', '#preview');
            $page->press('Save')->sees('Saved.', '#save-state');
            $page->script('location.reload()');
            $page->sees('Tied, [caller].', '[data-response]');
            $page->doesNotSee('You typed something here');
        }
    }

    public function test_a_sample_puts_what_was_typed_aside_and_offers_it(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page
            ->go($this->url('/channels/1/write/commands/new'))
            ->write('[name=trigger]', '!oakum')
            ->write('[data-response] .cm-content', 'Oakum for [caller].')
            ->sees('Not saved; kept on this machine.')
            ->press('links')
            ->sees('charts.lantern-cove.example', '[data-response]')
            ->sees('You typed something here');
        // What is typed into the sample leaves it waiting.
        $page->write('[name=trigger]', '!maps')->sees('Not saved; kept on this machine.');
        $page->press('Restore it')->sees('Oakum for [caller].', '[data-response]')->doesNotSee('You typed something');
        self::assertSame('!oakum', $page->value('[name=trigger]'));
    }

    public function test_pressing_in_the_list_keeps_what_was_searched_for_and_the_place(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url('/channels/1/write'))->write('[data-find]', 'pebbles')->doesNotSee('!regatta', '#entries');
        $page->press('switch off', '#entries')->sees('is switched off.')->doesNotSee('!regatta', '#entries');
        self::assertSame('pebbles', $page->value('[data-find]'));
        $page->press('switch on', '#entries')->sees('is switched on.');
        $page->write('[data-find]', 'every')->sees('!splinter', '#entries');
        $place = 'return document.getElementById("left-page").scrollTop';
        $was = $page->script(<<<JS
            const button = [...document.querySelectorAll('#entries form button')].at(-2);
            button.scrollIntoView();
            button.click();
            {$place}
            JS);
        self::assertGreaterThan(100, $was);
        $page->sees('is switched');
        self::assertSame($was, $page->script($place));
        $page->script('[...document.querySelectorAll("#entries form button")].at(-2).click()');
        $page->sees('is switched on.');
        $page->go($this->url('/channels/1/write?find=pebbles'));
        $page->press('delete', '#entries')->sees('was deleted.')->press('Undo')->sees('is restored.');
        self::assertSame('pebbles', $page->value('[data-find]'));
    }

    public function test_a_reload_offers_the_text_and_forces_nothing(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $path = $this->commandPath('!chart');
        $page->go($this->url($path))->write('[data-response] .cm-content', 'See [words | upper].');
        $page
            ->press('Add a random reply')
            ->write('[data-response]:nth-child(2) .cm-content', 'Or ask [caller].');
        $page->write('[name=aliases]', '!map')->click('[name=listed]');
        $page
            ->go($this->url($path))
            ->sees('You typed something here just now')
            ->sees('charts.lantern-cove.example', '[data-response]');
        $page->press('Restore it')->sees('See [words | upper].')->sees('Or ask [caller].');
        self::assertSame('!map', $page->value('[name=aliases]'));
        self::assertFalse($page->find('[name=listed]')->isSelected());
        $page->go($this->url($path))->press('discard it')->doesNotSee('You typed something here');
        $page
            ->go($this->url($path))
            ->sees('charts.lantern-cove.example', '[data-response]')
            ->doesNotSee('You typed something here');
    }

    public function test_while_the_session_is_lost_typing_says_so_and_goes_on(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url($this->commandPath('!knot')));
        $this->endSessions();
        $page
            ->write('[data-response] .cm-content', 'Still typing.')
            ->sees('Your session has ended. What you typed is kept on this machine');
        $page->press('sign in again');
        $this->fillInDoor($page);
        // Signing in leads back to where one was.
        $page->press('Restore it')->sees('Still typing.', '[data-response]');
        self::assertStringEndsWith($this->commandPath('!knot'), (string) $page->script('return location.pathname'));
    }

    public function test_whoever_signs_out_is_asked_about_text_that_was_never_saved_and_takes_it_along(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page
            ->go($this->url($this->commandPath('!boat')))
            ->write('[data-response] .cm-content', 'Secret words.')
            ->sees('Not saved; kept on this machine.');
        $page
            ->click('details.me summary')
            ->press('Sign out', '.me-sheet')
            ->sees('One command has text on this machine that was never saved.')
            ->press('Stay signed in');
        self::assertSame(
            1,
            $page->script('return Object.keys(localStorage).filter((key) => key.startsWith("unsaved:")).length'),
        );
        $page->press('Sign out', '.me-sheet')->press('Discard and sign out')->sees('Sign in');
        $page->waitFor(
            fn (): bool => str_ends_with((string) $page->script('return location.pathname'), '/sign-in'),
            'it leads to the door',
        );
        self::assertSame(
            0,
            $page->script(
                'return Object.keys(localStorage).filter((key) => key.startsWith("unsaved:")).length + '
                    .'Object.keys(sessionStorage).filter((key) => key.startsWith("parrot:")).length',
            ),
        );
        // Whoever goes back sees no page of before: none was kept.
        $page->driver->navigate()->back();
        $page->sees('Sign in')->doesNotSee('Secret words.');
    }

    public function test_two_people_at_once_see_both_texts(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $path = $this->commandPath('!now');
        $page->go($this->url($path))->write('[data-response] .cm-content', 'Wren’s words.');
        $other = Browser::open();
        try {
            $this->signIn($other, 'ilse@lantern-cove.example');
            $other
                ->go($this->url($path))
                ->write('[data-response] .cm-content', 'Ilse’s words.')
                ->press('Save')
                ->sees('!now is saved.');
        } finally {
            $other->close();
        }
        $page
            ->press('Save')
            ->sees('Somebody saved this command while you wrote.')
            ->sees('Ilse’s words.', '.conflict')
            ->sees('Wren’s words.', '.conflict')
            ->sees('Wren’s words.', '[data-response]');
        $page->press('Save')->sees('!now is saved.');
        self::assertSame(
            'Wren’s words.',
            $this->database()
                ->query(
                    'SELECT JSON_VALUE(steps, "$[0].say") FROM command_responses WHERE command_id = '.basename($path),
                )
                ->fetchColumn(),
        );
    }
}
