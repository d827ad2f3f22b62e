<?php

declare(strict_types=1);

namespace App\Air;

/** How the talker proves who it is to a chat server. */
enum SignIn: string
{
    /** It does not. */
    case None = 'none';

    /** An account and its secret, by SASL PLAIN (RFC 4616, IRCv3 sasl). */
    case Account = 'account';

    /** A password for the connection, given first (RFC 2812, 3.1.1). */
    case Password = 'password';
}
