<?php

declare(strict_types=1);

namespace App\Air;

/**
 * How much the talker takes on at once. Its loop waits by select(2), which knows 1,024 descriptors and ends the process
 * beyond; no Debian package brings PHP another. So all that may be open together stays under it, with room for the
 * database, logs and names that are looked up.
 */
final class Capacity
{
    public const DESCRIPTORS = 1_024;

    /** Pages that read along, those that have not said yet what they want among them. */
    public const READERS = 500;

    /** Of these from one address: a household, or a talk's audience, not everybody. */
    public const READERS_AN_ADDRESS = 40;

    /** Of these for one person. */
    public const READERS_A_PERSON = 12;

    /** Connections to chat servers. */
    public const CHATS = 200;

    /** Requests to the service's web service at once. */
    public const REQUESTS = 100;

    /** Lines of one channel that may wait to be heard; what comes on top is dropped and counted. */
    public const LINES_WAITING = 500;

    /** Lines of one channel that wait for the outside at once. */
    public const LINES_UNDER_WAY = 100;

    /** Lines of the log of one channel that may wait to be written. */
    public const LOG_WAITING = 2_000;

    /** Chat lines that one server may send a second: ten times the liveliest chat that we simulate. */
    public const CHAT_LINES_A_SECOND = 500;

    /** Lines of any kind that one server may send a second. */
    public const LINES_A_SECOND = 4_000;
}
