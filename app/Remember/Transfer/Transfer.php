<?php

declare(strict_types=1);

namespace App\Remember\Transfer;

use App\Models\Channel;
use App\Models\User;

/** One kind of thing that is brought and taken away as rows, CSV or JSON. A new one is one class and one line. */
interface Transfer
{
    /** In addresses. */
    public function key(): string;

    /** What they are, many of them: "quotes". */
    public function many(): string;

    /** @return non-empty-list<string> in the order of a file; the first that is needed is what a bare line holds */
    public function columns(): array;

    /** The column that a bare line holds. */
    public function main(): string;

    /** @return iterable<array<string, int|string>> all there are, by column */
    public function rows(Channel $channel): iterable;

    /**
     * What would become of rows that are brought.
     *
     * @param  list<array<string, string>>  $rows  by column; what was not brought is left out
     * @return list<BroughtRow> one of each, in their order
     */
    public function look(Channel $channel, array $rows): array;

    /** @param  list<BroughtRow>  $rows  new and changed ones, as look gave them */
    public function keep(Channel $channel, array $rows, User $by): void;
}
