<?php

declare(strict_types=1);

namespace SilverParrot\Hearing;

use SilverParrot\Chat\Level;
use SilverParrot\Hearing\Deeds\AddCommand;
use SilverParrot\Hearing\Deeds\ChangeCommand;
use SilverParrot\Hearing\Deeds\Deed;
use SilverParrot\Hearing\Deeds\DeleteCommand;
use SilverParrot\Hearing\Deeds\GivePointsAway;
use SilverParrot\Hearing\Deeds\KeepQuote;
use SilverParrot\Hearing\Deeds\MarkMoment;
use SilverParrot\Hearing\Deeds\SetCategory;
use SilverParrot\Hearing\Deeds\SetTags;
use SilverParrot\Hearing\Deeds\SetTitle;
use SilverParrot\Hearing\Deeds\ShowCommand;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Hearing\Steps\Perform;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\Command;
use SilverParrot\Pack\CommandResponse;
use SilverParrot\Pack\LevelRule;
use SilverParrot\Pack\Pack;

/** Worked samples to begin a command with. Each says something right away, in any pack. */
enum Sample: string
{
    /** Greets whoever is named, or everybody. */
    case Greeting = 'greeting';

    /** Sends viewers to somebody else’s channel. */
    case ShoutOut = 'shout-out';

    /** Addresses in one place. */
    case Links = 'links';

    /** Says that somebody is away for a while. */
    case Away = 'away';

    /** Counts something that happens again and again. */
    case Count = 'count';

    /** Says that somebody is back. */
    case Back = 'back';

    /** Welcomes whoever is new. */
    case Welcome = 'welcome';

    /** What whoever asks may use. */
    case Commands = 'commands';

    /** What one command says. */
    case Help = 'help';

    /** For how long the stream has been live. */
    case Uptime = 'uptime';

    /** Since when somebody follows. */
    case Following = 'following';

    /** How old an account is. */
    case AccountAge = 'account-age';

    /** Whether somebody is here, and since when they are known. */
    case Here = 'here';

    /** Which level somebody holds. */
    case LevelHeld = 'level';

    /** Who has most of the first points. */
    case Leaders = 'leaders';

    /** A die with as many sides as are asked for. */
    case Roll = 'roll';

    /** A question answered by chance. */
    case Question = 'question';

    /** How long it still is. */
    case Countdown = 'countdown';

    /** Keeps what somebody said. */
    case KeepQuote = 'keep-quote';

    /** Says what was kept. */
    case Quote = 'quote';

    /** Points of one’s own for somebody else. */
    case Give = 'give';

    /** Adds a command from the chat. */
    case AddCommand = 'add-command';

    /** Changes what a command says from the chat. */
    case ChangeCommand = 'change-command';

    /** Deletes a command from the chat. */
    case DeleteCommand = 'delete-command';

    /** Shows the title of the stream, and sets it for moderators. */
    case Title = 'title';

    /** The same for its category. */
    case Category = 'category';

    /** The same for its tags. */
    case Tags = 'tags';

    /** Marks a moment of the recording. */
    case Mark = 'mark';

    /** Those that are offered first. */
    public const FIRST = [self::Greeting, self::ShoutOut, self::Links, self::Away, self::Count];

    public function label(): string
    {
        return match ($this) {
            self::Greeting => 'a greeting',
            self::ShoutOut => 'a shout-out',
            self::Links => 'links',
            self::Away => 'away',
            self::Count => 'a count',
            self::Back => 'back again',
            self::Welcome => 'a welcome',
            self::Commands => 'the list of commands',
            self::Help => 'help for one command',
            self::Uptime => 'how long the stream has been live',
            self::Following => 'since when they follow',
            self::AccountAge => 'how old an account is',
            self::Here => 'whether somebody is here',
            self::LevelHeld => 'somebody’s level',
            self::Leaders => 'who has most points',
            self::Roll => 'a roll of dice',
            self::Question => 'a question answered by chance',
            self::Countdown => 'a countdown',
            self::KeepQuote => 'keeping a quote',
            self::Quote => 'a quote',
            self::Give => 'giving points away',
            self::AddCommand => 'adding a command from the chat',
            self::ChangeCommand => 'changing a command from the chat',
            self::DeleteCommand => 'deleting a command from the chat',
            self::Title => 'the title of the stream',
            self::Category => 'the category of the stream',
            self::Tags => 'the tags of the stream',
            self::Mark => 'marking a moment of the recording',
        };
    }

    /** @param  Pack  $pack  in which it will stand: a count takes a counter that is there */
    public function command(Pack $pack): Command
    {
        $counter = array_values($pack->counters)[0]->name ?? null;

        return match ($this) {
            self::Greeting => Say::on(
                '!ahoy',
                'Ahoy, [target or "shore crew"]! [caller] saved you a seat.',
                '[target or "Everybody"], mind the wet paint on the rail.',
            ),
            self::ShoutOut => Say::on(
                '!shout',
                '[when target]Pay a visit to [target][when target.category], last seen busy with '
                    .'[target.category][end]: worth the walk along the shore.[else]Name somebody: [trigger] @name[end]',
            )->gated(new ForLevels(new LevelRule(atLeast: Level::Moderator)), new Cooldown(5, 0)),
            self::Links => Say::on(
                '!links',
                'Charts: https://charts.lantern-cove.example and the shed’s book: https://book.lantern-cove.example',
            ),
            self::Away => Say::on(
                '!away',
                '[caller] is away[when words]: [words | cut 200][end]. Back before the tide turns.',
            )->gated(new Cooldown(5, 30)),
            self::Count => $counter === null
                ? Say::on('!count', '[caller] counts: [roll 1 to 10] today.')
                : Say::on('!count', "[add 1 to counter.$counter | plural \"# time\" \"# times\"] so far.")->gated(
                    new ForLevels(new LevelRule(atLeast: Level::Moderator)),
                    new Cooldown(5, 0),
                ),
            self::Back => Say::on('!back', '[caller] is back. Mind the wet paint, [caller].')->gated(
                new Cooldown(5, 30),
            ),
            self::Welcome => Say::on(
                '!welcome',
                'Welcome aboard, [target or "whoever is new"]! Ask anything; the kettle is on.',
            ),
            self::Commands => Say::on('!commands', '[caller], you may use [commands for caller or "nothing yet"].'),
            self::Help => self::doing('!help', new ShowCommand, 'What [outcome.name] says: [outcome.after]'),
            self::Uptime => Say::on(
                '!uptime',
                '[when channel.live or no]At it for [channel.uptime].[else]The shed is dark; nobody is at it.[end]',
            ),
            self::Following => Say::on(
                '!following',
                '[when caller.followed or no][caller] has followed for [since caller.followed].[else][caller] does not '
                    .'follow yet.[end]',
            ),
            self::AccountAge => Say::on(
                '!age',
                '[when caller.account_made or no][caller] has had an account for [since caller.account_made].[else]'
                    .'Nobody knows how long [caller] has had an account.[end]',
            ),
            self::Here => Say::on(
                '!here',
                '[when target][target] is [when target.here]here.[else]not here just now.[end][else]Name somebody: '
                    .'[trigger] @name[end]',
            ),
            self::LevelHeld => Say::on('!level', '[target or caller] is: [target.level or caller.level].'),
            self::Leaders => $pack->field('points') === null
                ? Say::on('!leaders', 'Nobody counts points here yet, [caller].')
                : Say::on('!leaders', 'Most of all: [top 5 by points | scores]'),
            self::Roll => Say::on('!roll', '[caller] rolls [roll 1 to (word 1 or 6) or roll 6].'),
            self::Question => Say::on(
                '!ask',
                '[when words][either "The tide says yes", "Not before breakfast", "Ask again at high water", '
                    .'"The gulls think so"], [caller].[else]Ask me something: [trigger] and your question.[end]',
            ),
            self::Countdown => Say::on(
                '!when',
                '[until "2030-05-01T12:00" or "No time at all"] until the launch.',
            ),
            self::KeepQuote => self::doing('!keep', new KeepQuote, 'Kept as quote [outcome.name].')
                ->gated(new ForLevels(new LevelRule(atLeast: Level::Regular))),
            self::Quote => Say::on('!quote', '[quote words or "Nothing like that was kept yet."]'),
            self::Give => self::doing('!give', new GivePointsAway, 'There: [outcome.name] has them.'),
            self::AddCommand => self::forModerators('!add', new AddCommand, 'Added: [outcome.name]'),
            self::ChangeCommand => self::forModerators('!change', new ChangeCommand, 'Changed: [outcome.name]'),
            self::DeleteCommand => self::forModerators('!remove', new DeleteCommand, 'Removed: [outcome.name]'),
            self::Title => self::shownAndSet(
                '!title',
                'Tonight: [channel.title or "no title yet"]',
                new SetTitle,
                'The title is now “[outcome.after]”.',
            ),
            self::Category => self::shownAndSet(
                '!category',
                'Busy with: [channel.category or "nothing in particular"]',
                new SetCategory,
                'Busy with [outcome.after] now.[when outcome.also] The service [outcome.also].[end]',
            ),
            self::Tags => self::shownAndSet(
                '!tags',
                'Tags: [channel.tags or "none"]',
                new SetTags,
                'The tags are now [outcome.after].',
            ),
            self::Mark => self::forModerators('!mark', new MarkMoment, 'Marked [outcome.name] at [outcome.after].'),
        };
    }

    private static function forModerators(string $trigger, Deed $deed, string $says): Command
    {
        return self::doing($trigger, $deed, $says)->gated(
            new ForLevels(new LevelRule(atLeast: Level::Moderator)),
            Cooldown::none(),
        );
    }

    /** The same trigger shows it to everybody, and sets it for those who may. */
    private static function shownAndSet(string $trigger, string $shows, Deed $deed, string $says): Command
    {
        return Say::on($trigger, $shows)
            ->answering([
                new CommandResponse([new Say($shows)]),
                (new CommandResponse([new Perform($deed), new Say($says)]))->gated(
                    new ForLevels(new LevelRule(atLeast: Level::Moderator)),
                ),
            ])
            ->gated(new Cooldown(5, 5))
            ->failing('Not done. [outcome.reason]');
    }

    private static function doing(string $trigger, Deed $deed, string $says): Command
    {
        return Say::on($trigger, new CommandResponse([new Perform($deed), new Say($says)]))
            ->failing('Not done. [outcome.reason]');
    }
}
