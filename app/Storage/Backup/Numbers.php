<?php

declare(strict_types=1);

namespace App\Storage\Backup;

use Illuminate\Database\Connection;

/**
 * Which number each row of a file has here. A number that another channel's row has here is exchanged for a new one;
 * what refers to it follows.
 */
final class Numbers
{
    /** New numbers begin so far beyond those in use: others go on while a channel is put back. */
    private const BEYOND = 100_000;

    /** @var array<string, array<int, int>> by table: the number in the file => the number here */
    private array $here = [];

    /** @var array<string, int> the last new number, by table */
    private array $last = [];

    public function __construct(private readonly Connection $connection, private readonly int $channel)
    {
    }

    /**
     * @param  list<int>  $numbers  of rows of one table in the file
     */
    public function take(Table $table, array $numbers): void
    {
        $marks = implode(',', array_fill(0, count($numbers), '?'));
        $taken = [];
        /** @var object{id: int} $row */
        foreach (
            $this->connection->select(
                "SELECT id FROM `{$table->name}` WHERE id IN ($marks) AND `{$table->owner}` <> ?",
                [...$numbers, $this->channel],
            ) as $row
        ) {
            $taken[$row->id] = true;
        }
        foreach ($numbers as $number) {
            // Behind the first new number all are new, so that their order stays.
            $this->here[$table->name][$number] =
                isset($taken[$number]) || isset($this->last[$table->name]) ? $this->next($table->name) : $number;
        }
    }

    public function of(string $table, int $number): ?int
    {
        return $this->here[$table][$number] ?? null;
    }

    /** For what is not there any more, and is only told apart from others. */
    public function ofGone(string $table, int $number): int
    {
        return $this->here[$table][$number] ??= $this->next($table);
    }

    private function next(string $table): int
    {
        if (! isset($this->last[$table])) {
            /** @var object{highest: int|null} $row */
            $row = $this->connection->selectOne("SELECT MAX(id) AS highest FROM `$table`");
            $this->last[$table] = ($row->highest ?? 0) + self::BEYOND;
        }

        return ++$this->last[$table];
    }
}
