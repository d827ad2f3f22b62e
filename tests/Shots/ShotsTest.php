<?php

declare(strict_types=1);

namespace Tests\Shots;

use Tests\Browser\BrowserTestCase;

/** The pictures of the documentation, made from the demo. Run by `bin/parrot shots`. */
final class ShotsTest extends BrowserTestCase
{
    protected const CROWD = 12;

    public function test_the_main_views_are_pictured(): void
    {
        $folder = getenv('PARROT_SHOTS');
        self::assertIsString($folder, 'bin/parrot shots says where to');
        $page = $this->browser;
        $this->signIn($page);

        $page->go($this->url('/channels/1/write'));
        $this->say('!knot', 'tamsin');
        $page->sees('tie us a', '#lines');
        $this->take("$folder/commands.png");

        $page
            ->go($this->url($this->commandPath('!tide')))
            ->write('[data-response] .cm-content', '[fact.tide] Now it is [now], [caler].');
        $page->sees('Nothing is named caler.', '#findings');
        $this->say('!splinter', 'bram');
        $this->say('!splinter', 'tamsin');
        $this->say('!now', 'pia');
        $page->sees('!now', '#line-2');
        $this->take("$folder/command.png");
        $page->script("document.documentElement.dataset.bsTheme = 'dark'");
        $this->take("$folder/command-dark.png");

        $page->script("document.documentElement.dataset.bsTheme = 'light'");
        $page->press('Did you mean caller?')->press('Save')->sees('!tide is saved.');
        $page
            ->go($this->url('/channels/1/write/commands/new'))
            ->write('[name=trigger]', '!glue')
            ->write('[data-response] .cm-content', 'The glue dries in [roll 2 to 5] hours, [caler].');
        $page->press('Save')->sees('!glue is saved.');
        $page->go($this->url('/channels/1/publish'))->sees('Connected to the chat')->sees('of the real chat');
        $page->sees('one change with errors left out');
        $this->take("$folder/publish.png");
        $this->database()->exec("DELETE FROM commands WHERE `trigger` = '!glue'");

        $page->go($this->url('/channels/1/publish/chat'))->sees('live updates', '#reading-along');
        foreach (
            [
                ['odo', 'is the tide in?'],
                ['bram', '!splinter'],
                ['quill', '!luck'],
                ['tamsin', '!ahoy @Odo'],
                ['bram', '!plank 2'],
                ['odo', '!splinter'],
            ] as [$as, $text]
        ) {
            $page->find("#air-as option[value=$as]")->click();
            $page->write('#air-text', $text)->press('Say', '#air-say')->sees($text, '#air-lines');
            usleep(400_000);
        }
        $page->script(
            '[...document.querySelectorAll("[data-air-why]")].filter((one) => '
                .'one.textContent.includes("!splinter")).pop().click()',
        );
        $page->sees('it is for moderators and up; to get through', '#air-why');
        $this->take("$folder/chat.png");
        $page->go($this->url('/channels/1/rehearse'));
        foreach (
            [['bram', '!splinter'], ['tamsin', '!knot'], ['pia', '!knot'], ['odo', '!biscuit @Pia']] as [$as, $text]
        ) {
            $this->say($text, $as);
        }
        $page->sees('hands Pia a biscuit', '#lines');
        $this->take("$folder/rehearse.png");
        $page->press('Save this chat as a script', '#heard')->sees('It holds.', '#script-result');
        $page->script('const text = document.getElementById("script-text"); text.value = text.value.replace("tie us", '
            .'"tie me")');
        $page->press('Save', '#script-form')->sees('does not hold', '#left-page');
        $page->script('document.querySelector("#script-result .is-broken").scrollIntoView({block: "end"})');
        $this->take("$folder/scripts.png");
        $page->go($this->url('/channels/1/rehearse/crowd?crowd=raid'))->press('Hear it');
        $page->waitFor(
            static fn (): bool => str_contains($page->text('#left-page'), '% of the chat'),
            'the evening is heard',
            120,
        );
        $page->script(
            'document.querySelector(".mark.is-held_back").dispatchEvent(new MouseEvent("click", {bubbles: true}))',
        );
        $page->sees('no reply', '#moment');
        $this->take("$folder/evening.png");
        $page->go($this->url('/channels/1/write/help'))->sees('Ten examples');
        $this->take("$folder/help.png");
        $page->go($this->url('/channels/1/remember'))->sees('counter.planks');
        $this->take("$folder/remember.png");
        foreach ([1 => 10, 2 => 9, 3 => 10, 4 => 9, 5 => 10] as $place => $times) {
            $this->database()->exec(
                "INSERT INTO list_draws (channel_id, list, item, times) SELECT 1, 'knots', stable_id, $times FROM "
                    ."list_items WHERE list_id = (SELECT id FROM lists WHERE channel_id = 1 AND name = 'knots') AND "
                    ."position = $place - 1 ON DUPLICATE KEY UPDATE times = $times",
            );
        }
        foreach (['lists/knots', 'plan', 'points'] as $view) {
            $page->go($this->url("/channels/1/remember/$view"))->find('#left-page');
            $this->take("$folder/remember-".explode('/', $view)[0].'.png');
        }
        $page->go($this->url('/channels/1/remember/lookups?edit=tide'))->press('Ask now', '#right-page');
        $page->sees('What came back', '#lookup-answer');
        $this->take("$folder/remember-lookups.png");

        $page
            ->go(
                $this->url(
                    '/channels/1/write/import?pasted='
                        .rawurlencode(
                            "!bell,Ding dong, [caler]!\n!rope,\"coveWav Rope is at https://cove.example/rope, ask "
                                ."[target or \"\"Bram\"\"].\"\n!tea,The kettle is on.",
                        ),
                ),
            )
            ->sees('!tea');
        $this->take("$folder/import.png");
        $page
            ->go($this->url('/channels/1/write/commands/new'))
            ->write('[name=trigger]', '!bell')
            ->write(
                '[data-response] .cm-content',
                'coveWav rings for [target], [counter.plank] planks in, [100 / counter.planks] to go',
            );
        $page
            ->press('Save')
            ->sees('!bell is saved.')
            ->go($this->url('/channels/1/write/findings'))
            ->sees('There is no counter');
        $this->take("$folder/findings.png");
        $page
            ->go($this->url($this->commandPath('!berth')))
            ->click('.phrases > summary')
            ->write('[name="phrases[0][text]"]', '(glue/paint) .. dry')
            ->sees('of 118 lines', '.phrases');
        $page->click('.hits > summary');
        $page->script('document.activeElement.blur()');
        $this->take("$folder/conditions.png");
        $page->go($this->url('/channels/1/write/timers'))->sees('speak 6 times in two hours');
        $this->take("$folder/timers.png");
        $this->database()->exec("DELETE FROM commands WHERE `trigger` = '!bell'");

        $page->size(390, 800);
        $page->script("document.documentElement.dataset.bsTheme = 'light'");
        $page->go($this->url($this->commandPath('!ahoy')))->sees('saved you a seat', '#preview');
        $page->script('localStorage.clear()');
        $this->take("$folder/phone.png");

    }

    private function take(string $file): void
    {
        // Wait for the notes to be laid, and let no caret blink into the picture.
        usleep(400_000);
        $this->browser->script('document.activeElement?.blur()');
        $this->browser->shot($file);
        self::assertFileExists($file);
    }
}
