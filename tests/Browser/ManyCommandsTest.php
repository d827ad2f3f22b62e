<?php

declare(strict_types=1);

namespace Tests\Browser;

use Tests\Demo;

/** The list of commands: opened in place, folded, and many chosen at once. */
final class ManyCommandsTest extends BrowserTestCase
{
    public function test_a_range_is_chosen_changed_and_taken_back_and_nothing_jumps(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url('/channels/1/write'))->sees('!wassail', '#entries');
        // The first lines are there at once, and the others a moment later.
        $lines = 'return document.querySelectorAll("#entries .entry").length';
        $page->waitFor(static fn (): bool => $page->script($lines) === Demo::commands(), 'all are listed');
        $chosen = $page->script(<<<'JS'
            const boxes = [...document.querySelectorAll('[data-choose]')];
            boxes[2].click();
            boxes[5].dispatchEvent(new MouseEvent('click', { bubbles: true, shiftKey: true }));
            return boxes.filter((one) => one.checked).length;
            JS);
        self::assertSame(4, $chosen);
        $page
            ->sees('4 selected:', '#many')
            ->click('#many [name=do] option[value=cooldown]')
            ->write('#many [name=value]', '33');
        $before = $page->script($lines);
        $page->press('Apply', '#many')->sees('4 commands with a cooldown of 33 s.')->sees('every 33 s', '#entries');
        self::assertSame($before, $page->script($lines));
        $page->press('Undo')->sees('4 commands are as they were.')->doesNotSee('every 33 s', '#entries');
        $page->script('document.querySelector("[data-choose]").click()');
        $page->sees('1 selected:', '#many')->press('clear selection', '#many');
        $page->waitFor(fn (): bool => ! $page->find('#many')->isDisplayed(), 'nothing is chosen');
    }

    public function test_a_line_opens_in_place_and_a_group_folds_and_stays_so_after_a_press(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url('/channels/1/write'))->sees('!wassail', '#entries');
        $height = 'return document.querySelector(".entry:has(a[href$=\"'
            .strrchr($this->commandPath('!dry'), '/').'\"])").offsetHeight';
        $closed = $page->script($height);
        $page->script('document.querySelector("[aria-label=\"open !dry\"]").click()');
        $page->waitFor(fn (): bool => $page->script($height) > $closed, 'it opens');
        $page->press('Counts', '#entries .group')->doesNotSee('!dry', '#entries')->sees('!omen', '#entries');
        $page->script('document.querySelector("[aria-label=\"switch off !omen\"]").click()');
        $page->sees('!omen is switched off.')->doesNotSee('!dry', '#entries');
        $page->script('document.querySelector("[aria-label=\"switch on !omen\"]").click()');
        $page->sees('!omen is switched on.');
        $page->press('Counts', '#entries .group')->sees('!dry', '#entries');
        $page->click('[data-order-of-list] option[value=name]')->doesNotSee('Counts', '#entries');
        self::assertSame('!ahoy', $page->text('#entries .trigger'));
        self::assertSame([], $page->barriers());
    }
}
