<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

use SilverParrot\Chat\Person;

/** Who has the most of something: the one question about memory that no key leads to. */
interface Ranking
{
    /**
     * @param  string  $field  the folded id of one that holds whole numbers
     * @param  list<string>  $without  folded logins of whoever stands in none
     * @return list<array{Person, int}> best first, equals by login; only people who were ever seen
     */
    public function top(string $field, int $count, array $without = []): array;
}
