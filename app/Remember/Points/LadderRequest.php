<?php

declare(strict_types=1);

namespace App\Remember\Points;

use App\Border\OfItsChannel;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use SilverParrot\Source\Limits;

/** Ranks, one a line: the least that is needed, and the name. */
final class LadderRequest extends FormRequest
{
    use OfItsChannel;

    private const MOST = 100;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['ranks' => ['nullable', 'string', 'max:8000', static function (
            string $field,
            mixed $typed,
            Closure $fail,
        ): void {
            $lines = self::lines(is_string($typed) ? $typed : '');
            foreach ($lines as $number => $line) {
                if (self::rank($line) === null) {
                    $fail('Line '.($number + 1).' is no rank: write the least that is needed and a name, “40 Bosun”.');

                    return;
                }
            }
            if (count($lines) > self::MOST) {
                $fail('There are at most '.self::MOST.' ranks.');
            }
        }]];
    }

    /** @return array<int, string> names by the least that is needed */
    public function ranks(): array
    {
        $ranks = [];
        foreach (self::lines($this->string('ranks')->value()) as $line) {
            [$least, $name] = self::rank($line) ?? [0, ''];
            $ranks[$least] = $name;
        }

        return $ranks;
    }

    /** @return list<string> */
    private static function lines(string $typed): array
    {
        return array_values(
            array_filter(
                array_map(trim(...), preg_split('/\R/u', $typed) ?: []),
                static fn (string $line): bool => $line !== '',
            ),
        );
    }

    /** @return array{int, string}|null */
    private static function rank(string $line): ?array
    {
        return preg_match('/^(\d{1,15})\s+(\S.*)$/Du', $line, $part) === 1 && mb_strlen($part[2]) <= Limits::NAME
            ? [(int) $part[1], $part[2]]
            : null;
    }
}
