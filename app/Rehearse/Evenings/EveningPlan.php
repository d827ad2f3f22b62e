<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

use SilverParrot\Rehearsal\Crowd\CrowdDescription;
use SilverParrot\Rehearsal\Crowd\CrowdFormat;
use SilverParrot\Rehearsal\RehearsalKind;
use SilverParrot\Value\Moment;

/** What an evening is to be heard with. */
final readonly class EveningPlan
{
    /**
     * @param  int  $seeds  how many evenings: the first by the seed itself, the others by what is made of it
     * @param  ReplayPlan|null  $replay  null where a crowd is heard
     * @param  list<string>  $words  lines of the real chat, from whose words a crowd takes too
     * @param  int  $nightHours  how many of the air's own log are compared; 0 where something else is heard
     */
    public function __construct(
        public CrowdDescription $crowd,
        public string $seed,
        public Moment $start,
        public int $seeds = 1,
        public bool $isOfEdition = false,
        public ?ReplayPlan $replay = null,
        public int $nightHours = 0,
        public array $words = [],
    ) {
    }

    /** @param  array<string, mixed>  $options  as toArray() gives them */
    public static function of(array $options): self
    {
        $start = is_string($options['start'] ?? null) ? Moment::fromIso($options['start']) : null;

        return new self(
            CrowdFormat::read(json_encode($options['crowd'] ?? [], JSON_THROW_ON_ERROR))[0],
            is_string($options['seed'] ?? null) ? $options['seed'] : '1',
            $start ?? new Moment(0),
            is_int($options['seeds'] ?? null) ? $options['seeds'] : 1,
            ($options['edition'] ?? false) === true,
            is_array($options['replay'] ?? null) ? ReplayPlan::of($options['replay']) : null,
            is_int($options['night'] ?? null) ? $options['night'] : 0,
            array_values(array_filter(is_array($options['words'] ?? null) ? $options['words'] : [], is_string(...))),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'crowd' => CrowdFormat::write($this->crowd),
            'seed' => $this->seed,
            'start' => $this->start->iso(),
            'seeds' => $this->seeds,
            'edition' => $this->isOfEdition,
        ]
            + ($this->replay === null ? [] : ['replay' => $this->replay->toArray()])
            + ($this->nightHours === 0 ? [] : ['night' => $this->nightHours])
            + ($this->words === [] ? [] : ['words' => $this->words]);
    }

    /** @return string of one of several evenings, counted from 0: numbers follow each other */
    public function seedOf(int $evening): string
    {
        return match (true) {
            $evening === 0 => $this->seed,
            strlen($this->seed) < 10 && ctype_digit($this->seed) => (string) ((int) $this->seed + $evening),
            default => "{$this->seed} $evening",
        };
    }

    /** @return int|null milliseconds; null up to the last line of a log */
    public function length(): ?int
    {
        return $this->replay === null ? $this->crowd->length() : null;
    }

    public function kind(): RehearsalKind
    {
        return match (true) {
            $this->nightHours > 0 => RehearsalKind::Night,
            $this->replay !== null => RehearsalKind::Replay,
            default => RehearsalKind::Crowd,
        };
    }

    public function title(): string
    {
        if ($this->nightHours > 0) {
            return $this->nightHours === 1
                ? 'The last hour against this draft'
                : "The last {$this->nightHours} hours against this draft";
        }
        if ($this->replay !== null) {
            return $this->replay->name;
        }

        return number_format($this->crowd->people).($this->crowd->people === 1 ? ' person, ' : ' people, ')
            .number_format($this->crowd->minutes).' min, '.number_format($this->crowd->lines).' lines';
    }
}
