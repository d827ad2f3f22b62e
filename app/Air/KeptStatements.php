<?php

declare(strict_types=1);

namespace App\Air;

use PDO;
use PDOStatement;

/**
 * A connection that prepares each statement once. A reply takes some ten, always the same, and to prepare one costs a
 * way to the database and back, as much as to execute it. What is read is read whole before the statement is executed
 * again, as the framework does.
 */
final class KeptStatements extends PDO
{
    /** Statements that are kept at once; the database keeps as many for us. */
    private const MOST = 100;

    /** @var array<string, PDOStatement> the one that was asked for last at the end */
    private array $kept = [];

    /** @param  array<int, mixed>  $options */
    public function prepare(string $query, array $options = []): PDOStatement|false
    {
        if ($options !== []) {
            return parent::prepare($query, $options);
        }
        $statement = $this->kept[$query] ?? parent::prepare($query);
        if ($statement === false) {
            return false;
        }
        unset($this->kept[$query]);
        $this->kept[$query] = $statement;
        if (count($this->kept) > self::MOST) {
            array_shift($this->kept);
        }

        return $statement;
    }
}
