<?php

declare(strict_types=1);

namespace Tests\Browser;

use Tests\Demo;

/** The author's main job, from signing in to a saved command. */
final class MainJobTest extends BrowserTestCase
{
    public function test_whoever_is_quicker_than_the_answers_loses_no_line(): void
    {
        $page = $this->browser;
        $page->go($this->signInLink())->sees(Demo::commands().' commands.');
        // In one go, so that none of it waits for an answer.
        $page->script(<<<'JS'
            const [chat, field, speaker] = ['chat', 'say-line', 'speaker'].map((id) => document.getElementById(id));
            const say = (who, line) => {
                [speaker.value, field.value] = [who, line];
                chat.requestSubmit(chat.querySelector('[type=submit]'));
            };
            say('bram', '!plank 2');
            chat.querySelector('[aria-label^="+1 min"]').click();
            say('ilse', '!plank 3');
            speaker.value = 'pia';
            field.value = 'half a li';
            JS
            ,
        );
        $page
            ->sees('counter.planks (channel) 41 → 43', '#line-0')
            ->sees('Ilse', '#line-1')
            ->sees('no reply: it is for moderators and the streamer', '#line-1');
        self::assertGreaterThanOrEqual(
            60,
            (86_400 + strtotime($page->text('#line-1 time')) - strtotime($page->text('#line-0 time'))) % 86_400,
            'the clock was turned between the two',
        );
        self::assertSame('half a li', $page->value('#say-line'));
        self::assertSame('pia', $page->value('#speaker'));
        // What could not be answered stands in its field again.
        $page->script(
            'document.body.addEventListener("htmx:configRequest", (event) => { event.detail.path = "/nowhere"; }, { '
                .'once: true })',
        );
        $page
            ->write('#say-line', '!plank 4')
            ->press('Say', '#chat')
            ->waitFor(fn (): bool => $page->value('#say-line') === '!plank 4', 'the line is given back');
    }

    public function test_a_command_is_written_mended_rehearsed_saved_and_found_again(): void
    {
        $page = $this->browser;
        $page->go($this->signInLink())->sees(Demo::commands().' commands.');
        $page->press('New command')->write('[name=trigger]', '!wave');

        // A wrong slot is found where it is, and one press mends it.
        $page->write(
            '[data-response] .cm-content',
            '[caler] waves at [target or "the sea"], wave [add 1 to counter.planks].',
        );
        $page->sees('Nothing is named caler.', '#findings')->find('.cm-lintRange-error');
        $page->sees('no reply: Nothing is named caler.', '#preview');
        $page->press('Did you mean caller?', '#findings')->sees('Tamsin waves at the sea, wave 42.', '#preview');
        self::assertSame('', $page->text('#findings'));

        // The preview follows who is spoken to and what they type; the edges stand below.
        $page
            ->write('[name=typed]', '@pia')
            ->sees('Tamsin waves at Pia, wave 42.', '#preview')
            ->sees('waves at nobody_here', '.edges');

        // The unsaved command is heard in the chat beside it.
        $this->say('!wave @odo', 'jonah');
        $page->sees('Jonah waves at Odo, wave 42.', '#lines')->sees('counter.planks (channel) 41 → 42', '#lines');
        $this->say('!wave', 'pia');
        $page->sees('no reply: on cooldown: 9 s left', '#lines');
        $page->sees('on cooldown: 9 s left; to get through, move the clock forward 9 s', '#whys');
        $page->press('+10 s');
        $this->say('!wave', 'pia');
        $page->sees('Pia waves at the sea, wave 43.', '#lines');
        $this->say('!wafe', 'pia');
        $page->sees('there is no command !wafe: did you mean !wave?', '#whys');
        $page->click('#line-0 .said-by')->sees('[target or "the sea"] said “Odo”', '#whys');

        $page->press('Save')->sees('!wave is saved.');
        $page
            ->go($this->url('/channels/1/write'))
            ->write('[data-find]', 'waves at')
            ->sees('1 of '.(Demo::commands() + 1).' commands has “waves at”.')
            ->sees('Anyone, every 10 s, each person once a minute, changes counter.planks.', '#entries');
        self::assertSame(
            41,
            $this->database()->query("SELECT number FROM counter_numbers WHERE counter = 'planks'")->fetchColumn(),
            'the real counter is as it was',
        );

        // Tomorrow: another session, the same command.
        $page->driver->manage()->deleteAllCookies();
        $page->go($this->signInLink())->press('!wave')->sees('waves at');
        self::assertSame('!wave', $page->value('[name=trigger]'));
        self::assertSame([], $page->complaints());

        $page
            ->go($this->url('/channels/1/write'))
            ->press('delete', '#entries li:has(a.trigger[href$="/'.basename($this->commandPath('!wave')).'"])')
            ->sees('!wave was deleted.');
        $page->press('Undo')->sees('!wave is restored.')->sees('waves at');
        $this->database()->exec("DELETE FROM commands WHERE `trigger` = '!wave'");
    }

    public function test_a_reader_is_shown_a_command_as_it_is_and_no_fields(): void
    {
        $page = $this->browser;
        $this->signInReader($page);
        $page->go($this->url($this->commandPath('!tide')));
        $page->write('[name=typed]', 'please')->waitFor(
            fn (): bool => $page->script('return "took" in document.getElementById("preview").dataset') === true,
            'no preview came',
        );
        $page->doesNotSee('switched off', '#sentence')->doesNotSee('says nothing', '#sentence');
        $page->doesNotSee('not listed', '#sentence');
        foreach (['Add a random reply', 'Fix', 'Save'] as $press) {
            $page->doesNotSee($press, '#left-page');
        }
        self::assertSame(
            [],
            $page->script(
                'return [...document.querySelectorAll("#command fieldset .blank")].filter((one) => '
                    .'getComputedStyle(one).borderBottomColor !== "rgba(0, 0, 0, 0)").map((one) => one.name)',
            ),
        );
        $page->press('What you can use here')->sees('What you can use in a slot', '#reference');
    }

    public function test_what_another_template_would_fill_in_is_mended_by_one_press(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url($this->commandPath('!tide')))
            ->write('[data-response] .cm-content', 'Hi ${user}, $(recipient) plays %game%] with {gullwax}.')
            ->sees('“${user}” is said as it stands', '#findings')
            ->sees('This “]” closes nothing', '#findings')
            ->press('Fix all 4')
            ->sees('Hi [caller], [target] plays [channel.category] with {gullwax}.', '[data-response]')
            ->doesNotSee('Fix all', '#findings')
            ->sees('“{gullwax}” is said as it stands', '#findings');
    }

    public function test_what_is_wrong_with_triggers_and_weights_is_told_while_it_is_typed(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url('/channels/1/write/commands/new'))
            ->write('[name=trigger]', '!tide')
            ->sees('!tide is used already, by !tide. Choose another trigger.', '#command')
            ->write('[name=trigger]', '!glue')
            ->doesNotSee('is used already', '#command')
            ->write('[name=aliases]', 'social')
            ->sees('A line like “social is on again” triggers this command', '#findings')
            ->press('Write “!social”.', '#findings')
            ->doesNotSee('is on again', '#findings');
        self::assertSame('!social', $page->value('[name=aliases]'));
        $page->write('[data-response] .cm-content', 'Glue.')->press('Add a random reply');
        $page->type('More glue.')->write('[name="responses[0][weight]"]', '0.5');
        $page->sees('A weight is a whole number from 1 to 1,000.', '[data-response]');
        $page->press('Save')->sees('Not saved.', '#save-state');
        self::assertSame('responses[0][weight]', $page->script('return document.activeElement.name'));
        self::assertTrue(
            $page->script(
                'const bar = document.querySelector(".save-bar").getBoundingClientRect(); const told = document'
                    .'.querySelector("[data-response] .problem").getBoundingClientRect(); return told.bottom < bar.top '
                    .'&& told.top > 0',
            ),
            'the error is not hidden by the bar',
        );
        $page->write('[name="responses[0][weight]"]', '3')->sees('(75 %)', '[data-response]');
        $page->write('[name=trigger]', '!'.str_repeat('g', 70))->press('Save')->sees('more than 60 characters');
        self::assertSame(71, mb_strlen($page->value('[name=trigger]')));
    }

    public function test_what_a_response_names_and_nobody_has_made_is_made_beside_the_text(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url('/channels/1/write/commands/new'))
            ->write('[name=trigger]', '!glug')
            ->write('[data-response] .cm-content', 'Spilt [add 1 to counter.glugs | plural "# time" "# times"].')
            ->sees('There is no counter “glugs”.', '#findings')
            ->press('Make it', '#findings')
            ->press('Make it', '#maker')
            ->sees('counter.glugs is made.')
            ->sees('Spilt 1 time.', '#preview')
            ->doesNotSee('There is no counter', '#findings')
            ->sees('Spilt [add 1 to counter.glugs', '[data-response]');
        // From the name in the text, the thing itself is one press away.
        $page
            ->press('What you can use here')
            ->write('#reference input', 'glugs')
            ->press('Edit counter.glugs', '#reference')
            ->write('#maker [name=start]', '40')
            ->press('Save', '#maker')
            ->sees('Spilt 41 times.', '#preview');
        $page->press('Save', '.save-bar')->sees('!glug is saved.');
        $this->database()->exec("DELETE FROM counters WHERE name = 'glugs'");
        $this->database()->exec("DELETE FROM commands WHERE `trigger` = '!glug'");
    }

    public function test_an_answer_is_kept_as_expected_and_followed_while_the_text_changes(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url($this->commandPath('!ahoy')));
        $this->say('!ahoy @pia', 'tamsin');
        $page
            ->press('Keep as expected')
            ->sees('✓ expected of !ahoy', '#lines')
            ->sees('It still matches.', '#expectations');
        foreach ($page->all('[data-response] .cm-content') as $editor) {
            $editor->click();
            $editor->sendKeys(["\u{E009}", 'a', "\u{E000}", 'Ahoy there, [target].']);
        }
        $page
            ->sees('It no longer matches.', '#expectations')
            ->sees('Ahoy there, Pia.', '#expectations')
            ->sees('Ahoy there, Pia.', '#lines')
            ->press('Save')
            ->sees('!ahoy is saved.')
            ->sees('It no longer matches.', '#expectations');
        $page->press('Remove', '#expectations')->doesNotSee('It no longer matches.');
    }

    public function test_who_may_is_chosen_by_least_level_or_by_some(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url($this->commandPath('!knot')));
        $page
            ->click('[name="gates[levels][who]"] option[value=moderator]')
            ->sees('Moderators and up, every 10 s', '#sentence')
            ->sees('Bram, tie us a', '#preview');
        $page
            ->click('[name="gates[levels][who]"] option[value=any_of]')
            ->click('[name="gates[levels][any_of][]"][value=vip]')
            ->sees('VIPs, every 10 s', '#sentence')
            ->sees('Pia, tie us a', '#preview');
        $page->click('[name=person] option[value=tamsin]')->sees('no reply: it is for VIPs', '#preview');
        self::assertSame(
            'none',
            $page->script('return getComputedStyle(document.querySelector("#preview .because")).textDecorationLine'),
            'a reason is to be read, not struck out',
        );
        $this->say('!knot', 'tamsin');
        $page->sees('it is for VIPs; to get through, speak as one of them', '#whys');
        $page->press('Save')->sees('!knot is saved.');
        self::assertTrue($page->find('[name="gates[levels][any_of][]"][value=vip]')->isSelected());
        $page
            ->click('[name="gates[levels][who]"] option[value=everyone]')
            ->press('Save')
            ->sees('!knot is saved.')
            ->sees('Anyone, every 10 s', '#sentence');
    }

    public function test_a_condition_is_added_tried_opened_by_a_press_kept_and_removed(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url($this->commandPath('!knot')));
        self::assertFalse($page->find('[data-condition=category]')->isDisplayed(), 'nobody asked for it');
        $page
            ->click('[data-add-condition] option[value=category]')
            ->write('[name="gates[category][names]"]', 'Rigging')
            ->sees('only in Rigging', '#sentence');
        $this->say('!knot', 'tamsin');
        $page
            ->sees('it is only for Rigging, and the category is', '#whys')
            ->press('Change the category here to Rigging')
            ->sees('Tamsin, tie us a', '#right-page')
            ->sees('In the wrong category, reply')
            ->press('Save')
            ->sees('!knot is saved.');
        // What is not saved yet comes back with its condition.
        $page
            ->click('[data-add-condition] option[value=chance]')
            ->write('[name="gates[chance]"]', '25')
            ->sees('25 times in 100', '#sentence')
            ->go($this->url($this->commandPath('!knot')));
        self::assertFalse($page->find('[data-condition=chance]')->isDisplayed());
        $page->press('Restore it')->sees('25 times in 100', '#sentence');
        self::assertSame('25', $page->value('[name="gates[chance]"]'));
        $page
            ->press('remove', '[data-condition=chance]')
            ->press('remove', '[data-condition=category]')
            ->sees('Anyone, every 10 s', '#sentence')
            ->press('Save')
            ->sees('!knot is saved.');
        self::assertFalse($page->find('[data-condition=category]')->isDisplayed());
    }

    public function test_a_phrase_is_tried_while_it_is_typed_made_rarer_and_keeps_lines(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page
            ->go($this->url($this->commandPath('!dry')))
            ->click('.phrases > summary')
            ->write('[name="phrases[0][text]"]', 'glue')
            ->sees('In the sample chat, 5 of 118 lines: about 5 replies an evening.', '.phrases')
            ->sees('“glue” is common: more than one line in 50.', '.phrases')
            ->press('answer at most once in 5 minutes', '.phrases');
        self::assertSame('300', $page->value('[name="phrases[0][cooldown]"]'));
        $page->doesNotSee('is common', '.phrases')->click('.hits > summary');
        $page->press('must not', '.hits li:first-child')->sees('must not be set off by “glue”', '#findings');
        $page
            ->write('[name="phrases[0][text]"]', 'glue .. set')
            ->sees('one of 118 lines', '.phrases')
            ->doesNotSee('must not be set off', '#findings')
            ->press('Save')
            ->sees('!dry is saved.');
        $page->go($this->url($this->commandPath('!dry')))->sees('must not: ', '.phrases');
        self::assertSame('glue .. set', $page->value('[name="phrases[0][text]"]'));
        $page->press('remove', '.phrases')->press('Save')->sees('!dry is saved.');
    }

    public function test_a_timer_is_made_seen_in_the_picture_spoken_in_a_rehearsal_and_deleted(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url('/channels/1/write'))->press('Timers');
        $page->sees('speak 6 times in two hours', '#right-page');
        $new = 'form[action$="/write/timers"]';
        $page
            ->write("$new [name=name]", 'varnish')
            ->write("$new [name=minutes]", '10')
            ->write("$new [name=lines]", '1')
            ->write("$new [name=messages]", 'Mind the varnish.')
            ->press('Save', $new)
            ->sees('The timer varnish speaks every 10 minutes.')
            ->sees('speak 17 times in two hours', '#right-page');
        $page->go($this->url('/channels/1/rehearse'));
        $this->say('well', 'tamsin');
        $page->press('+1 hour')->sees('well', '#lines');
        $this->say('well', 'tamsin');
        $page->sees('the timer varnish', '#lines')->sees('Mind the varnish.', '#lines');
        $page->go($this->url('/channels/1/write/timers'));
        $page->script('[...document.querySelectorAll(".timer details")].forEach((one) => (one.open = true))');
        $page->press('delete it', '.timer:nth-of-type(4)')->sees('varnish is deleted.');
    }

    public function test_several_responses_are_added_weighed_and_removed(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page
            ->go($this->url('/channels/1/write/commands/new'))
            ->write('[name=trigger]', '!many')
            ->write('[data-response] .cm-content', 'one');
        $page->press('Add a random reply')->write('[data-response]:nth-child(2) .cm-content', 'two [caler]');
        $page->sees('Nothing is named caler.', '#findings')->sees('no reply', '#preview .answer');
        $page
            ->write('[data-response]:nth-child(2) .cm-content', 'two')
            ->write('[data-response]:nth-child(2) [type=number]', '3')
            ->sees('(25 %)');
        $page
            ->press('remove', '[data-response]:nth-child(1)')
            ->sees('two', '#preview .answer')
            ->press('Save')
            ->sees('!many is saved.');
        self::assertSame(
            'two|3',
            $this->database()
                ->query(
                    "SELECT GROUP_CONCAT(CONCAT(JSON_VALUE(steps, '$[0].say'), '|', weight)) FROM command_responses "
                        .'WHERE command_id = '
                        .basename($this->commandPath('!many')),
                )
                ->fetchColumn(),
        );
        $this->database()->exec("DELETE FROM commands WHERE `trigger` = '!many'");
    }

    public function test_everything_is_done_by_keyboard(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        // Sent to whatever has the focus, as a keyboard does; a list holds its first key down.
        $keys = static fn (string|array ...$all) => array_map(
            static fn (string|array $one) => $page->driver->switchTo()->activeElement()->sendKeys($one),
            $all,
        );
        $page->find('body')->sendKeys('?');
        $page->sees('from the text to the chat, and back');
        $keys("\u{E00C}");
        $page->find('body')->sendKeys('n');
        $page->sees('Not saved yet.');
        $keys('keys');
        $page->waitFor(fn (): bool => $page->value('[name=trigger]') === '!keys', 'the trigger has the focus');
        $page->find('[data-response] .cm-content')->click();
        $keys('by hand');
        $keys(["\u{E009}", "\u{E007}"]);
        $page->waitFor(
            fn (): bool => $page->script('return document.activeElement.id') === 'say-line',
            'Ctrl Enter leads to the chat',
        );
        $keys('!keys', "\u{E007}");
        $page->sees('by hand', '#lines');
        $keys(["\u{E009}", 's']);
        $page->sees('!keys is saved.');
        $this->database()->exec("DELETE FROM commands WHERE `trigger` = '!keys'");
    }

    public function test_names_complete_with_what_they_would_be_now_and_the_reference_is_put_into_the_text_by_a_press(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page
            ->go($this->url($this->commandPath('!tide')))
            ->write('[data-response] .cm-content', 'We fitted [counter.pl');
        $page->sees('counter.planks', '.cm-tooltip-autocomplete')->sees('now: ', '.cm-tooltip-autocomplete');
        $page->find('[data-response] .cm-content')->sendKeys("\u{E007}");
        $page->find('[data-response] .cm-content')->sendKeys(' | plu');
        $page->sees('plural', '.cm-tooltip-autocomplete');
        $page->find('[data-response] .cm-content')->sendKeys("\u{E007}");
        $page->find('[data-response] .cm-content')->sendKeys(' "# plank" "# planks"] on ');
        $page
            ->press('What you can use here')
            ->write('#reference input', 'stream is called')
            ->sees('channel.title', '#reference')
            ->doesNotSee('counter.planks', '#reference');
        $page->click('#reference [aria-label="put channel.title into the text"]');
        $page->sees(
            'We fitted [counter.planks | plural "# plank" "# planks"] on [channel.title]',
            '[data-response] .cm-content',
        );
        $page->sees('planks on Planking the port side', '#preview');
        self::assertSame([], $page->barriers());
    }

    public function test_plain_words_lead_to_the_names_that_are_used_here(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url($this->commandPath('!tide')))->write('[data-response] .cm-content', 'Ahoy [user');
        $page->sees('caller', '.cm-tooltip-autocomplete');
        $page->find('[data-response] .cm-content')->sendKeys("\u{E007}");
        $page->sees('Ahoy [caller]', '[data-response] .cm-content');
        $page->press('What you can use here')->write('#reference input', 'random')->sees('roll', '#reference');
        $page->sees('list.knots', '#reference')->doesNotSee('channel.title', '#reference');
    }

    public function test_what_is_written_from_right_to_left_is_shown_so(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url($this->commandPath('!tide')));
        $direction = static fn (string $of): mixed => $page->script(
            "return [...document.querySelectorAll('$of')].map((one) => getComputedStyle(one).direction).at(-1)",
        );
        self::assertSame('ltr', $direction('#preview .saying'));
        $page->write('[data-response] .cm-content', 'ברוך הבא')->sees('ברוך הבא', '#preview');
        $this->say('!tide שלום');
        $page->sees('ברוך הבא', '#lines');
        $this->say('שלום לכולם');
        $page->sees('שלום לכולם', '#lines');
        foreach (['[data-response] .cm-content', '#preview .saying', '#lines .saying', '#lines .text'] as $of) {
            self::assertSame('rtl', $direction($of), $of);
        }
        self::assertSame('ltr', $direction('#lines b'));
    }

    public function test_a_slot_that_is_opened_is_closed_and_a_doubled_bracket_is_none(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url($this->commandPath('!tide')));
        $typed = [
            ['', ''],
            ['High [', 'High []'],
            ['caller', 'High [caller]'],
            ["\u{E00C}] water", 'High [caller] water'],
            ['[', 'High [caller] water[]'],
            ['[', 'High [caller] water[['],
            ["sic]\u{E003}\u{E003}\u{E003}\u{E003}\u{E003}\u{E003}[\u{E003}", 'High [caller] water'],
        ];
        foreach ($typed as [$keys, $text]) {
            $keys === ''
                ? $page->write('[data-response] .cm-content', '')
                : $page->find('[data-response] .cm-content')->sendKeys($keys);
            $page->waitFor(
                static fn (): bool => $page->value('textarea[name^=responses]') === $text,
                fn (): string => "“{$text}” and not “{$page->value('textarea[name^=responses]')}”",
            );
        }
    }

    public function test_emotes_complete_words_are_told_under_the_pointer_and_a_choice_shows_what_belongs_to_it(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url($this->commandPath('!tide')))->write('[data-response] .cm-content', 'coveW');
        $page->sees('coveWave', '.cm-tooltip-autocomplete');
        $page->find('[data-response] .cm-content')->sendKeys("\u{E007}");
        $page->find('[data-response] .cm-content')->sendKeys(' [when words]yes [counter.planks][else]no[end]');
        $page->find('#preview img[alt=coveWave]');
        // The caret is behind [end]: its choice is marked, and nothing else is.
        $page->waitFor(
            fn (): bool => implode(
                '',
                array_map(static fn ($one): string => $one->getText(), $page->all('[data-response] .is-choice')),
            ) === '[when words][else][end]',
            'the choice is shown',
        );
        $name = array_values(
            array_filter(
                $page->all('[data-response] .tok-name'),
                static fn ($one): bool => str_contains($one->getText(), 'counter'),
            ),
        )[0];
        $page->driver->action()->moveToElement($name)->perform();
        $page->sees('now: ', '.hover-help')->sees('counter.planks', '.hover-help');
    }

    public function test_the_simulated_chat_goes_on_after_saving(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->go($this->url($this->commandPath('!job')));
        $this->say('!job', 'odo');
        $page->sees('Next job for Odo', '#lines');
        $page
            ->write('[name=note]', 'for the evening')
            ->press('Save')
            ->sees('!job is saved.')
            ->sees('Next job for Odo', '#lines');
        self::assertSame('odo', $page->value('#speaker'));
        $page->go($this->url($this->commandPath('!job')))->sees('Say something as anybody', '#lines');
    }

    public function test_without_scripts_a_plain_text_area_saves_and_checks(): void
    {
        $page = $this->browser;
        $this->signIn($page);
        $page->withoutScripts()->go($this->url($this->commandPath('!regatta')));
        $area = $page->find('[data-response] textarea');
        self::assertTrue($area->isDisplayed());
        $area->clear();
        $area->sendKeys('Not announced yet, [caler].');
        $page
            ->press('Save')
            ->sees('!regatta is saved.')
            ->sees('Nothing is named caler.', '#findings')
            ->sees('Did you mean caller?', '#findings');
        $page->find('[data-response] textarea')->clear();
        $page->find('[data-response] textarea')->sendKeys('Not announced yet.');
        $page->press('Save')->sees('!regatta is saved.')->doesNotSee('Nothing is named');
    }
}
