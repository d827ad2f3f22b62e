<?php

declare(strict_types=1);

namespace SilverParrot\Response;

/** A name whose text was written by the pack's authors, whoever asks: it may begin with a mark that other talkers hear. */
interface SaysOwnText
{
}
