<?php

declare(strict_types=1);

namespace Tests\Browser;

/** Every view, by axe-core (npm, WCAG 2.2 AA), in both themes, wide and narrow. */
final class ViewsTest extends BrowserTestCase
{
    public function test_no_view_has_a_barrier(): void
    {
        $page = $this->browser;
        $barriers = [];
        foreach (['/sign-in', '/register', '/forgotten', '/new-password/abc'] as $path) {
            $barriers[$path] = $page->go($this->url($path))->barriers();
        }
        $this->signIn($page);
        $page->go($this->url('/channels/1/members'))->press('Create an invitation')->sees('Share this link.');
        $barriers['an invitation made'] = $page->barriers();
        $invitation = $page->value('#link');
        foreach ([$invitation, $this->url('/invitation/'.str_repeat('a', 48))] as $address) {
            $barriers[$address] = $page->go($address)->barriers();
        }
        foreach (['light', 'dark'] as $theme) {
            $page->script("localStorage.setItem('theme', '$theme')");
            foreach (
                [
                    '/channels',
                    '/channels/1/members',
                    '/channels/1/write',
                    '/channels/1/write?find=tide',
                    '/channels/1/write/commands/new',
                    '/channels/1/write/findings',
                    '/channels/1/write/timers',
                    '/channels/1/write/phrases',
                    $this->commandPath('!berth'),
                    $this->commandPath('!where'),
                    '/channels/1/write/import?pasted=%21bell%2Cding+%5Bcaler%5D',
                    '/channels/1/nowhere',
                    '/account',
                    '/channels/1/remember?kind=counters&edit=new',
                    '/channels/1/write/deleted',
                    '/channels/1/write/help',
                    '/channels/1/rehearse',
                    '/channels/1/rehearse?person=new',
                    '/channels/1/rehearse/scripts?new=1',
                    '/channels/1/rehearse/crowd?crowd=raid',
                    '/channels/1/publish/chat?unanswered=1',
                    '/channels/1/remember',
                    '/channels/1/remember/quotes?edit=1',
                    '/channels/1/remember/lists/knots',
                    '/channels/1/remember/counters/planks',
                    '/channels/1/remember/viewers',
                    '/channels/1/remember/points',
                    '/channels/1/remember/ranks',
                    '/channels/1/remember/goods?kind=goods&edit=new',
                    '/channels/1/remember/plan',
                    '/channels/1/remember/live?shows=%5Bcounter.planks%5D',
                    '/channels/1/remember/lookups?edit=tide',
                    '/channels/1/remember/bring/quotes',
                    '/channels/1/publish',
                    '/channels/1/publish/chat',
                    '/channels/1/publish/connection',
                    $this->commandPath('!tide'),
                ] as $path
            ) {
                $barriers["$path $theme"] = $page->go($this->url($path))->barriers();
            }
            $page->write('[data-response] .cm-content', '[caler] and [words | uper], [when');
            $page->sees('Nothing is named caler.', '#findings');
            $this->say('!tide', 'tamsin');
            $this->say('!tide', 'tamsin');
            $this->say('!tidee', 'odo');
            $page->press('Keep as expected')->sees('expected of');
            $barriers["a command in use, $theme"] = $page->barriers();
            $page->click('[data-help]')->sees('this sheet');
            $barriers["the help sheet, $theme"] = $page->barriers();
            $page
                ->press('Close')
                ->click('details.me summary')
                ->press('Sign out', '.me-sheet')
                ->sees('Sign out and discard?');
            $barriers["signing out, $theme"] = $page->barriers();
            $page->press('Stay signed in');
            // Held to be right already, the same answer would not be offered again.
            $this->database()->exec('DELETE FROM expectations');
        }
        self::assertSame([], array_filter($barriers));
    }

    public function test_no_new_view_has_a_barrier_on_a_phone(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->size(390, 800);
        $barriers = [];
        foreach (['light', 'dark'] as $theme) {
            $page->script("localStorage.setItem('theme', '$theme')");
            foreach (
                [
                    '/channels/1/rehearse?person=new',
                    '/channels/1/rehearse/scripts?new=1',
                    '/channels/1/rehearse/crowd',
                    '/channels/1/write/help',
                    '/channels/1/write/import?pasted=command%09reply%09wait%0A%21bell%09ding+%5Bcaler%5D%0912',
                    '/account',
                    $this->commandPath('!luck'),
                ] as $path
            ) {
                $barriers["$path $theme"] = $page->go($this->url($path))->barriers();
            }
            $page->press('Chat', '.turn');
            foreach (['!luck', '!luck', '!lucky'] as $line) {
                $this->say($line, 'tamsin');
            }
            $page->sees('Say !luck', '#lines')->click('.circumstances summary')->click('[name=all]');
            $barriers["a chat in use, $theme"] = $page->barriers();
        }
        $page->script("localStorage.setItem('theme', 'light')");
        self::assertSame([], array_filter($barriers));
    }

    public function test_nothing_overflows_on_a_phone_and_the_chat_is_one_touch_away(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->size(390, 800);
        foreach (
            [
                '/channels/1/write',
                '/channels/1/write/findings',
                '/channels/1/write/timers',
                '/channels/1/write/phrases',
                $this->commandPath('!berth'),
                $this->commandPath('!where'),
                '/channels/1/write/import?pasted=%21bell%2Cding',
                '/channels/1/write/commands/new',
                $this->commandPath('!splinter'),
                '/channels',
                '/channels/1/members',
                '/channels/1/remember',
                '/channels/1/publish',
                '/channels/1/publish/chat',
                '/channels/1/publish/connection',
                '/account',
                '/channels/1/write/deleted',
                '/channels/1/write/help',
                '/channels/1/rehearse?person=new',
                '/channels/1/rehearse/scripts?new=1',
                '/channels/1/rehearse/crowd?crowd=raid',
                '/channels/1/remember?kind=lists&edit=new',
                '/channels/1/remember/quotes',
                '/channels/1/remember/lists/knots',
                '/channels/1/remember/points',
                '/channels/1/remember/ranks',
                '/channels/1/remember/goods',
                '/channels/1/remember/plan',
                '/channels/1/remember/live',
                '/channels/1/remember/lookups?edit=tide',
            ] as $path
        ) {
            $page->go($this->url($path))->find('#left-page');
            self::assertLessThanOrEqual(390, $page->script('return document.documentElement.scrollWidth'), $path);
        }
        $page->go($this->url('/channels/1/write'))->click('.me summary')->sees('Sign out', '.me-sheet');
        [$left, $right, $head] = $page->script(
            'const box = document.querySelector(".me-sheet").getBoundingClientRect(); return [box.left, box.right, '
                .'document.querySelector(".edge").offsetHeight]',
        );
        self::assertGreaterThanOrEqual(0, $left, 'the menu is cut at the left');
        self::assertLessThanOrEqual(390, $right, 'the menu is cut at the right');
        self::assertLessThan(100, $head, 'more than two rows of head');
        $page->click('.me summary')->press('Chat', '.turn');
        $this->say('!knot', 'tamsin');
        $page->sees('tie us a', '#lines');
        $page->go($this->url($this->commandPath('!splinter')))->press('Chat', '.turn');
        $page->waitFor(
            fn (): bool => (bool) $page->script(
                'const box = document.getElementById("say-line").getBoundingClientRect(); return box.top > 0 && '
                    .'box.bottom < innerHeight - 40',
            ),
            'the chat’s field is in sight',
        );
        $this->say('!splinter', 'bram');
        $page->sees('Splinters while', '#lines');
        $page
            ->write('[data-response] .cm-content', 'Ahoy [caler]!')
            ->sees('1 finding', '.save-bar')
            ->press('1 finding', '.save-bar');
        $page->waitFor(
            fn (): bool => (bool) $page->script(
                'const box = document.querySelector("#findings .finding, #findings > *").getBoundingClientRect(); '
                    .'return box.top >= 0 && box.bottom < innerHeight',
            ),
            'the finding is in sight',
        );
        $page->press('Did you mean caller?', '#findings')->sees('Ahoy', '#preview');
        $page->waitFor(
            fn (): bool => $page->script('return document.querySelector(".to-findings").hidden') === true,
            'there are no findings any more',
        );
    }

    public function test_nothing_is_fetched_from_elsewhere_and_nothing_complains(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url($this->commandPath('!tide')))->sees('High water', '#preview');
        $this->say('!tide', 'pia');
        /** @var list<string> $loaded */
        $loaded = $page->script('return performance.getEntriesByType("resource").map((one) => one.name)');
        self::assertNotSame([], $loaded);
        foreach ($loaded as $address) {
            self::assertStringStartsWith($this->url('/'), $address);
        }
        self::assertSame([], $page->complaints());
    }

    public function test_what_people_type_is_never_markup(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url($this->commandPath('!tide')));
        foreach (
            [
                '<img src=x onerror="window.hit=1">',
                '"><script>window.hit=1</script>',
                '{{ 1 + 1 }} @php',
                '[caller] </textarea><b>',
            ] as $line
        ) {
            $this->say($line, 'yusuf');
            $page->sees($line, '#lines');
        }
        $page
            ->write('[data-response] .cm-content', '<img src=x onerror="window.hit=1"> [words]')
            ->write('[name=typed]', '<b>bold</b>')
            ->sees('<img src=x onerror="window.hit=1"> <b>bold</b>', '#preview');
        self::assertNull($page->script('return window.hit ?? null'));
    }
}
