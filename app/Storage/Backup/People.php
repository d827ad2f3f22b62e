<?php

declare(strict_types=1);

namespace App\Storage\Backup;

use Illuminate\Database\Connection;

/** People belong to the whole, not to a channel: they are found again by their addresses. */
final class People
{
    /** @var array<int, string> addresses of the people in the file, by their numbers there */
    private array $emails = [];

    /** @var array<string, int|null> numbers here, by address */
    private array $here = [];

    public function __construct(private readonly Connection $connection)
    {
    }

    /** @param  array<string, null|bool|float|int|string>  $row  of the table of people, where the file has it */
    public function inFile(array $row): void
    {
        if (is_int($row['id'] ?? null) && is_string($row['email'] ?? null)) {
            $this->emails[$row['id']] = $row['email'];
        }
    }

    /** @return int|null null for somebody unknown here */
    public function here(null|bool|float|int|string $who): ?int
    {
        $email = is_int($who) ? $this->emails[$who] ?? null : $who;
        if (! is_string($email)) {
            return null;
        }
        if (! array_key_exists($email, $this->here)) {
            /** @var object{id: int}|null $row */
            $row = $this->connection->selectOne('SELECT id FROM users WHERE email = ?', [$email]);
            $this->here[$email] = $row?->id;
        }

        return $this->here[$email];
    }

    /**
     * The row with a number where the file has an address, to be looked at as a row of its table.
     *
     * @param  array<string, null|bool|float|int|string>  $row
     * @return array<string, null|bool|float|int|string>
     */
    public function numbered(Table $table, array $row): array
    {
        foreach ($table->refers as $column => $to) {
            if ($to === 'users' && array_key_exists($column, $row)) {
                $row[$column] = 0;
            }
        }

        return $row;
    }
}
