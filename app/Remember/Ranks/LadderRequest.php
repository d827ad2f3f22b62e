<?php

declare(strict_types=1);

namespace App\Remember\Ranks;

use App\Border\OfItsChannel;
use App\Storage\Assembler;
use Closure;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;
use SilverParrot\Response\ChangesNothing;
use SilverParrot\Response\ResponseCache;
use SilverParrot\Source\Limits;

/** Ranks, one a line: the least that is needed, and the name; and what is said of whoever comes to another. */
final class LadderRequest extends FormRequest
{
    use OfItsChannel;

    private const MOST = 100;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $said = ['nullable', 'string', 'max:'.Limits::SOURCE];

        return ['rises' => $said, 'falls' => $said, 'ranks' => ['nullable', 'string', 'max:8000', static function (
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

    /** @return list<Closure(Validator): void> what is said can be read, and changes nothing */
    public function after(ResponseCache $prepared, Assembler $assembler): array
    {
        return [function (Validator $validator) use ($prepared, $assembler): void {
            $pack = $assembler->names($this->channel());
            foreach (['rises', 'falls'] as $when) {
                $problem = ChangesNothing::problem($prepared->response($this->said($when)), $pack);
                if ($problem !== '') {
                    $validator->errors()->add($when, "$problem.");
                }
            }
        }];
    }

    /** @return array<string, mixed>|null as the definition is put; null for no ranks */
    public function state(): ?array
    {
        $ranks = $this->ranks();

        return $ranks === []
            ? null
            : [
                'ranks' => $ranks,
                'by_ever_earned' => $this->boolean('by_ever_earned'),
                'is_on' => ! $this->boolean('off'),
                'rises' => $this->said('rises'),
                'falls' => $this->said('falls'),
            ];
    }

    private function said(string $when): string
    {
        return $this->string($when)->trim()->value();
    }

    /** @return array<int, string> names by the least that is needed */
    private function ranks(): array
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
