<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

use App\Air\Log;
use App\Models\Channel;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use SilverParrot\Chat\HappeningKind;
use SilverParrot\Rehearsal\Crowd\CrowdDescription;
use SilverParrot\Rehearsal\Crowd\CrowdHappening;
use SilverParrot\Rehearsal\Crowd\CrowdPhase;
use SilverParrot\Rehearsal\Crowd\CrowdPreset;
use SilverParrot\Rehearsal\Crowd\Habits;
use SilverParrot\Rehearsal\Replay\WordsOfLog;
use SilverParrot\Value\Moment;

/** A crowd, as it was typed. */
final class CrowdRequest extends FormRequest
{
    /** How many evenings can be heard at once. */
    public const SEEDS = [1, 10, 100];

    /** Kilobytes of a log that words are taken from. */
    private const LOG = 4_096;

    /** Lines of the real chat that are looked through for words. */
    private const WORDS = 500;

    /** Lines of all evenings together. */
    private const MOST_LINES = 1_000_000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $minute = ['nullable', 'integer', 'between:0,'.CrowdDescription::LONGEST_MINUTES];

        return [
            'people' => ['required', 'integer', 'between:1,'.CrowdDescription::MOST_PEOPLE],
            'minutes' => ['required', 'integer', 'between:1,'.CrowdDescription::LONGEST_MINUTES],
            'lines' => ['required', 'integer', 'between:1,'.CrowdDescription::MOST_LINES],
            'busiest' => ['required', 'integer', 'between:10,99'],
            'stays' => ['required', 'integer', 'between:0,'.CrowdDescription::LONGEST_MINUTES],
            'seed' => ['nullable', 'string', 'max:100'],
            'seeds' => ['required', 'in:'.implode(',', self::SEEDS)],
            'of' => ['required', 'in:draft,edition'],
            'log' => ['nullable', 'file', 'max:'.self::LOG],
            'habits.*' => ['nullable', 'integer', 'between:0,100'],
            'levels.*' => ['nullable', 'integer', 'between:0,100'],
            'phases.*.from' => $minute,
            'phases.*.to' => $minute,
            'phases.*.pace' => ['nullable', 'integer', 'between:0,1000'],
            'happenings.*.at' => $minute,
            'happenings.*.kind' => ['nullable', 'in:'.implode(',', array_column(HappeningKind::ofCrowds(), 'value'))],
            'happenings.*.count' => ['nullable', 'integer', 'between:1,'.CrowdDescription::LARGEST_RAID],
            'happenings.*.text' => ['nullable', 'string', 'max:100'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'people.*' => 'A crowd has 1 to '.number_format(CrowdDescription::MOST_PEOPLE).' people.',
            'minutes.*' => 'It talks for 1 to '.number_format(CrowdDescription::LONGEST_MINUTES).' minutes.',
            'lines.*' => 'It writes 1 to '.number_format(CrowdDescription::MOST_LINES).' lines.',
            'busiest.*' => 'The busiest tenth writes 10 to 99 percent.',
            'stays.*' => 'Minutes that people stay are a whole number; 0 is all evening.',
            'habits.*' => 'Shares are percent, from 0 to 100.',
            'levels.*' => 'Shares are percent, from 0 to 100.',
            'phases.*' => 'From and to are minutes since the start; the pace is percent, from 0 to 1,000.',
            'happenings.*.count.*' => 'A raid brings 1 to '.number_format(CrowdDescription::LARGEST_RAID).' people.',
            'log.*' => 'A log of up to '.(self::LOG / 1_024).' MB can be taken; cut a piece out of a larger one.',
            'happenings.*' => 'Minutes are counted from the start.',
        ];
    }

    /** @return list<\Closure(\Illuminate\Validation\Validator): void> */
    public function after(): array
    {
        return [function (\Illuminate\Validation\Validator $validator): void {
            if ($this->log() === []) {
                $validator->errors()->add('log', 'Nobody says anything in that file that can be read as a chat log.');
            }
            $crowd = $this->description();
            if (array_sum($crowd->habits) > 100) {
                $validator->errors()->add('habits', 'Together the habits are more than all lines: make some smaller.');
            }
            if ($crowd->lines * $this->integer('seeds') > self::MOST_LINES) {
                $validator->errors()->add('seeds', 'Together these are more than '.number_format(self::MOST_LINES)
                    .' lines: take fewer lines, or fewer evenings.');
            }
        }];
    }

    public function plan(Channel $channel): EveningPlan
    {
        $seed = $this->string('seed')->trim()->value();

        return new EveningPlan(
            $this->description(),
            $seed === '' ? '1' : $seed,
            Moment::of(now()->startOfMinute()),
            $this->integer('seeds'),
            $this->string('of')->value() === 'edition',
            words: [...$this->log() ?? [], ...$this->boolean('words') ? $this->words($channel) : []],
        );
    }

    /** @return list<string>|null what people wrote in a log; null where none is given */
    private function log(): ?array
    {
        return once(function (): ?array {
            $file = $this->file('log');

            return $file instanceof UploadedFile && $file->isValid()
                ? WordsOfLog::of(LogFiles::lines($file->getPathname()), self::WORDS) ?? []
                : null;
        });
    }

    /** @return list<string> what people wrote last in the real chat, without commands */
    private function words(Channel $channel): array
    {
        $words = [];
        foreach (app(Log::class)->lastHeard($channel->id, self::WORDS) as $line) {
            if (WordsOfLog::isTalk($line->text)) {
                $words[] = mb_substr($line->text, 0, 200);
            }
        }

        return $words;
    }

    /** What stands in the fields, as far as it makes sense. */
    public function description(): CrowdDescription
    {
        $usual = CrowdPreset::Busy->description();
        $habits = (array) $this->input('habits');
        $levels = (array) $this->input('levels');
        $percent = static fn (mixed $typed): int => is_numeric($typed) ? max(0, min(100, (int) $typed)) : 0;

        return new CrowdDescription(
            max(1, $this->integer('people', $usual->people)),
            max(1, $this->integer('minutes', $usual->minutes)),
            max(1, $this->integer('lines', $usual->lines)),
            max(10, min(99, $this->integer('busiest', $usual->busiestTenth))),
            max(0, $this->integer('stays', $usual->stays)),
            array_map(
                static fn (string $level): int => $percent($levels[$level] ?? 0),
                array_combine(array_keys($usual->levels), array_keys($usual->levels)),
            ),
            array_map(
                static fn (string $key): int => $percent($habits[$key] ?? 0),
                array_combine(array_keys(Habits::all()), array_keys(Habits::all())),
            ),
            $this->phases(),
            $this->happenings(),
        );
    }

    /** @return list<CrowdPhase> */
    private function phases(): array
    {
        $phases = [];
        foreach (array_slice((array) $this->input('phases'), 0, CrowdDescription::MOST) as $typed) {
            $typed = is_array($typed) ? $typed : [];
            if (is_numeric($typed['from'] ?? null) && is_numeric($typed['to'] ?? null)) {
                $from = max(0, (int) $typed['from']);
                $phases[] = new CrowdPhase(
                    $from,
                    max($from, (int) $typed['to']),
                    is_numeric($typed['pace'] ?? null) ? max(0, (int) $typed['pace']) : 100,
                );
            }
        }

        return $phases;
    }

    /** @return list<CrowdHappening> */
    private function happenings(): array
    {
        $happenings = [];
        foreach (array_slice((array) $this->input('happenings'), 0, CrowdDescription::MOST) as $typed) {
            $typed = is_array($typed) ? $typed : [];
            $kind = is_string($typed['kind'] ?? null) ? HappeningKind::tryFrom($typed['kind']) : null;
            if ($kind !== null && is_numeric($typed['at'] ?? null)) {
                $happenings[] = new CrowdHappening(
                    max(0, (int) $typed['at']),
                    $kind,
                    is_numeric($typed['count'] ?? null) ? max(1, (int) $typed['count']) : 1,
                    is_string($typed['text'] ?? null) ? mb_substr(trim($typed['text']), 0, 100) : '',
                );
            }
        }

        return $happenings;
    }
}
