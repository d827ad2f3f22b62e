<?php

declare(strict_types=1);

namespace SilverParrot\Chat\Wire;

use SilverParrot\Chat\ChatLine;
use SilverParrot\Chat\Level;
use SilverParrot\Chat\Levels;
use SilverParrot\Chat\Person;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Moment;

/**
 * The border of the chat: whatever a server sends becomes UTF-8, bounded and of one form here, before anything else
 * sees it. A line of the wire is bytes; what comes out of here fits every row, and is the same for the same sender.
 */
final readonly class Inbound
{
    /** Bytes of a message id that is kept as it is; a longer one, or one of other signs, is known by its hash. */
    private const LONGEST_ID = 120;

    /** Bytes of a nick or account that is kept as it is. */
    private const LONGEST_LOGIN = 60;

    /** Levels that one line may claim; more than there are means nothing. */
    private const MOST_LEVELS = 16;

    /** A server's clock may differ from ours by so much; what differs more is no time at all. */
    private const MILLIS_OFF = 300_000;

    /**
     * @param  list<string>  $capabilities  that the server has granted (IRCv3); what it never promised is not believed
     * @param  list<Level>  $levels  that the channel's modes give whoever wrote it
     * @param  string  $numbered  the line's key where the server gives no ids
     */
    public static function line(
        IrcLine $line,
        PersonTags $tags,
        array $capabilities,
        array $levels,
        string $numbered,
        Moment $now,
        bool $isWhisper = false,
    ): ChatLine {
        $tag = static fn (string $name, string $capability): string => in_array($capability, $capabilities, true)
            ? $line->tag($name)
            : '';
        $nick = $line->nick();
        $account = $tag('account', 'account-tag');
        $login = self::login($account === '' ? $nick : $account);
        $name = self::text($line->tag($tags->name), Limits::NAME);
        $claimed = array_map(
            Level::named(...),
            explode(',', self::text($line->tag($tags->levels), Limits::READING), self::MOST_LEVELS),
        );
        $id = $tag('msgid', 'message-tags');

        return new ChatLine(
            $id === '' ? $numbered : self::key($id),
            Person::known(
                self::id($line, $tags, $account, $login),
                $login,
                $name === '' ? self::text($account === '' ? $nick : $account, Limits::NAME) : $name,
                Levels::of(...$levels, ...array_filter($claimed)),
            ),
            self::text($line->param(1), Limits::LINE),
            self::moment($tag('time', 'server-time'), $now),
            // A private answer goes where the line came from. Where it could not be addressed exactly it goes nowhere.
            strlen($nick) <= self::LONGEST_LOGIN && self::text($nick, Limits::NAME) === $nick ? $nick : '',
            $isWhisper,
        );
    }

    /**
     * Whoever has an account is another than who only took its name; whoever has an id of the service stays the same
     * under any name.
     */
    private static function id(IrcLine $line, PersonTags $tags, string $account, string $login): string
    {
        $id = $tags->id === '' ? '' : $line->tag($tags->id);

        return match (true) {
            preg_match('/^[A-Za-z0-9_-]{1,60}$/D', $id) === 1 => "{$tags->service}:$id",
            $account !== '' => "account:$login",
            default => "nick:$login",
        };
    }

    /** People's text, or a server's: UTF-8, of bounded length, without what begins a line. */
    public static function text(string $bytes, int $most): string
    {
        // Four bytes are the longest character: what is beyond is not even looked at.
        $text = mb_scrub(substr($bytes, 0, 4 * $most));

        return trim(mb_substr(strtr($text, ["\r" => ' ', "\n" => ' ', "\0" => ' ']), 0, $most), ' ');
    }

    /** Who it is, folded. Two that differ stay two, however long they are and whatever bytes they hold. */
    private static function login(string $bytes): string
    {
        $login = Fold::caseless(mb_scrub(substr($bytes, 0, 4 * self::LONGEST_LOGIN)));

        return mb_check_encoding($bytes, 'UTF-8')
            && strlen($login) <= self::LONGEST_LOGIN
            && strlen($bytes) <= self::LONGEST_LOGIN
            && preg_match('/[\p{Z}\p{C}]/u', $login) !== 1
            ? $login
            : mb_strcut(self::text($login, 20), 0, 40).'~'.substr(hash('sha256', $bytes), 0, 16);
    }

    private static function key(string $id): string
    {
        return preg_match('/^[\x21\x22\x24-\x7E][\x21-\x7E]*+$/D', $id) === 1 && strlen($id) <= self::LONGEST_ID
            ? $id
            : ChatLine::HASHED.hash('sha256', $id);
    }

    private static function moment(string $time, Moment $now): Moment
    {
        $at = strlen($time) <= self::LONGEST_LOGIN ? Moment::fromIso(mb_scrub($time)) : null;

        return $at !== null && abs($at->millis - $now->millis) <= self::MILLIS_OFF ? $at : $now;
    }
}
