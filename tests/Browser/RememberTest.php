<?php

declare(strict_types=1);

namespace Tests\Browser;

/** The main job of each page of what is remembered. */
final class RememberTest extends BrowserTestCase
{
    public function test_a_list_is_made_from_the_text_that_names_it(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url('/channels/1/write/commands/new'))->write('[name=trigger]', '!greet');
        $page->write('[data-response] .cm-content', 'The parrot says [list.greetings].');
        $page->press('Make it')->sees('How items are drawn');
        $page->write('#list-items', 'Ahoy!')->press('Make it', '.maker');
        $page->sees('says Ahoy!')->press('Save')->sees('!greet is saved.');
        // What stands open beside the text is saved with the command.
        $page->write('[data-response] .cm-content', 'Says [list.greetings] at [fact.pier].')->press('Make it');
        $page->write('#fact-text', 'the long pier')->press('Save', '#command')->sees('at the long pier');
        $page->go($this->url('/channels/1/remember?find=pier'))->sees('fact.pier');
        $page->go($this->url('/channels/1/remember?find=greetings'))->sees('list.greetings')->sees('!greet');
    }

    public function test_a_list_is_edited_in_place_and_shows_what_a_thousand_draws_would_give(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url('/channels/1/remember/lists/jobs'))->sees('of a thousand');
        $page->write('#items', 'Sweeping the shed')->press('Add')->sees('One item is added.');
        $page->click('[aria-label="edit Sweeping the shed"]')->write('#item-text', 'Sweeping twice')->press('Save');
        $page->sees('Sweeping twice', '#left-page')->click('[aria-label="switch off Sweeping twice"]');
        $page->sees('It is not drawn any more')->click('details.changes summary');
        $page->click('details.changes li:first-child button')->sees('Undone.');
    }

    public function test_a_quote_is_kept_found_and_brought_back(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url('/channels/1/remember/quotes'))->write('#quote-new-text', 'The gull took the chisel.');
        $page->write('#quote-new-by', 'Odo')->press('Keep')->sees('Kept as quote 3.');
        $page->write('[name=find]', 'chis')->press('Search')->sees('One quote')->click('[aria-label="delete quote 3"]');
        $page->sees('its number is not used again')->press('Undo')->sees('The gull took the chisel.');
        $page->go($this->url('/channels/1/remember/bring/quotes'))->write('#pasted', 'One plank at a time.');
        $page->press('Look at it')->sees('1 new')->press('Keep it')->sees('One is kept.');
    }

    public function test_a_live_page_follows_a_count_and_comes_back_by_itself(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url('/channels/1/remember/counters/planks'))->press('Show it live');
        $page->sees('41', '.live-view')->press('Make the address')->sees('The address is made.');
        $live = $this->database()->query('SELECT token FROM live_addresses')->fetchColumn();
        $page->go($this->url("/live/$live"))->sees('41', '.live-text');
        self::assertSame('rgba(0, 0, 0, 0)', $page->script('return getComputedStyle(document.body).backgroundColor'));
        // The network is away for a while.
        $page->script('window.kept = window.fetch; window.fetch = () => Promise.reject(new Error("away"));');
        $this->database()->exec("UPDATE counter_numbers SET number = 42 WHERE counter = 'planks'");
        $page->script('window.fetch = window.kept;');
        $page->sees('42', '.live-text');
    }

    public function test_viewers_points_and_the_plan_do_their_main_job(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url('/channels/1/remember/plan'))->sees('The next stream begins');
        $page->write('[name=title]', 'Varnish and talk')->press('Add')->sees('It is in the plan')->sees('Monday 19:30');
        $page->go($this->url('/channels/1/remember/points'))->sees('Everyone earns 5 pebbles for being here');
        $page->go($this->url('/channels/1/remember/ranks'))->sees('Deckhand');
        $page->write('[name=ranks]', "\n900 Admiral")->press('Save the ranks')->sees('The ranks are saved');
        $page->sees('from 900; nobody now')->go($this->url('/channels/1/remember/goods'))->press('Make a thing to own');
        $page->write('[name=name]', 'bell')->write('[name=price]', '3')->press('Make it')->sees('goods.bell is made.');
        $page->sees('Nobody owns one.', '#right-page');
        $this->database()->exec(
            'INSERT IGNORE INTO viewers (channel_id, service, service_id, login, name, levels, tier, logins_before) '
                ."VALUES (1, 'account', 'ebba', 'ebba', 'Ebba', '[]', 0, '[]')",
        );
        $this->database()->exec(
            "INSERT IGNORE INTO viewer_names SELECT channel_id, login, id FROM viewers WHERE login = 'ebba'",
        );
        $page->go($this->url('/channels/1/remember/viewers'))->write('[name=find]', 'ebb')->press('Search');
        $page->press('Ebba')->sees('Fields')->write('[aria-label=boat]', 'Heron')->click('[aria-label="set boat"]');
        $page->sees('boat is saved.');
        $page->press('Forget them, as they wish')->sees('This cannot be undone.')->press('Forget them for good');
        $page->sees('They are forgotten for good.');
    }

    public function test_what_a_rehearsal_changed_is_kept_as_one_and_taken_back(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $this->database()->exec("UPDATE counter_numbers SET number = 41 WHERE counter = 'planks'");
        $page->go($this->url('/channels/1/rehearse'))->click('#speaker option[value=bram]');
        $page->write('#say-line', '!plank 2')->press('Say')->sees('43 planks')->press('Keep these changes …');
        $page->sees('Keep this in the real memory?')->press('Keep them')->sees('the chat begins anew');
        $page->press('Undo it in the history')->sees('counter.planks 41 → 43', '#right-page');
        $page->press('undo', '#right-page')->sees('Undone.');
        self::assertSame(
            41,
            (int) $this->database()
                ->query("SELECT number FROM counter_numbers WHERE counter = 'planks'")
                ->fetchColumn(),
        );
    }

    public function test_a_field_shows_what_its_type_asks_for_and_an_address_takes_its_parts(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url('/channels/1/remember?kind=fields&edit=new'))->click('.more summary');
        $page->sees('Longest text, in characters');
        $page->click('#field-type option[value=number]')->sees('Greatest number')->write('[name=name]', 'age');
        $page->write('[name=most]', '120')->press('Make it')->sees('a number, up to 120');
        $page->go($this->url('/channels/1/write/commands/new'))->write('[name=trigger]', '!way');
        $page->write('[data-response] .cm-content', 'Go: [fact.map.chat]');
        $page->sees('https://lantern-cove.example/map?from=chat');
    }
}
