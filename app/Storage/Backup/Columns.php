<?php

declare(strict_types=1);

namespace App\Storage\Backup;

use Illuminate\Database\Connection;

/** What may stand in a row of one table, so that a malformed one is told by its place before anything is touched. */
final readonly class Columns
{
    private const WHOLE = ['tinyint', 'smallint', 'mediumint', 'int', 'bigint'];

    /**
     * @param  array<string, array{type: string, longest: int|null, isNullable: bool, isNeeded: bool,
     *     isJson: bool}>  $columns
     */
    private function __construct(private array $columns)
    {
    }

    public static function of(Connection $connection, string $table): self
    {
        $columns = [];
        /**
         * @var object{name: string, type: string, longest: int|null, nullable: string, standard: string|null,
         *     extra: string, rule: string|null} $row
         */
        foreach (
            $connection->select(
                'SELECT c.column_name AS name, c.data_type AS type, c.character_maximum_length AS longest,
                    c.is_nullable AS nullable, c.column_default AS standard, c.extra AS extra,
                    (SELECT k.check_clause FROM information_schema.check_constraints k
                     WHERE k.constraint_schema = c.table_schema AND k.table_name = c.table_name
                        AND k.constraint_name = c.column_name LIMIT 1) AS rule
                 FROM information_schema.columns c WHERE c.table_schema = DATABASE() AND c.table_name = ?',
                [$table],
            ) as $row
        ) {
            $columns[$row->name] = [
                'type' => $row->type, 'longest' => $row->longest, 'isNullable' => $row->nullable === 'YES',
                'isNeeded' => $row->nullable !== 'YES' && $row->standard === null
                    && ! str_contains($row->extra, 'auto_increment'),
                'isJson' => str_contains((string) $row->rule, 'json_valid'),
            ];
        }

        return new self($columns);
    }

    /**
     * @param  array<array-key, mixed>  $row
     * @return string|null the first column that is not as it must be; null where all are
     */
    public function wrong(array $row): ?string
    {
        foreach ($row as $name => $value) {
            if (! isset($this->columns[$name]) || ! self::fits($value, $this->columns[$name])) {
                return mb_substr((string) $name, 0, 60);
            }
        }
        foreach ($this->columns as $name => $column) {
            if ($column['isNeeded'] && ! array_key_exists($name, $row)) {
                return $name;
            }
        }

        return null;
    }

    /** @param  array{type: string, longest: int|null, isNullable: bool, isNeeded: bool, isJson: bool}  $column */
    private static function fits(mixed $value, array $column): bool
    {
        if ($value === null) {
            return $column['isNullable'];
        }
        if (in_array($column['type'], self::WHOLE, true)) {
            return is_int($value) || is_bool($value);
        }
        if (! is_string($value) || ($column['longest'] !== null && mb_strlen($value) > $column['longest'])) {
            return false;
        }
        if (in_array($column['type'], ['datetime', 'timestamp'], true)) {
            return preg_match('/^[1-9]\d{3}-\d\d-\d\d \d\d:\d\d:\d\d(\.\d{1,6})?$/D', $value) === 1;
        }

        return ! $column['isJson'] || self::isJson($value);
    }

    private static function isJson(string $text): bool
    {
        json_decode($text);

        return json_last_error() === JSON_ERROR_NONE;
    }
}
