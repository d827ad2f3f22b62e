<?php

declare(strict_types=1);

namespace App\Rehearse\Evenings;

use SilverParrot\Figures\MarkKind;

/** One moment of an evening, as it is kept. */
final readonly class KeptMark
{
    private function __construct(
        public int $id,
        public int $millis,
        public int $lane,
        public MarkKind $kind,
        public string $event,
        public string $person,
        public string $text,
        public string $said,
        public string $why,
    ) {
    }

    /**
     * @param  object{id: int, millis: int, lane: int, kind: string, event: string, person: string, text: string,
     *     said: string, why: string}  $row
     */
    public static function of(object $row): self
    {
        return new self(
            $row->id,
            $row->millis,
            $row->lane,
            MarkKind::from($row->kind),
            $row->event,
            $row->person,
            $row->text,
            $row->said,
            $row->why,
        );
    }

    /** ", Tamsin: !tide → High water …": behind what came of it. */
    public function inWords(): string
    {
        return ($this->person === '' ? '' : ", {$this->person}: {$this->text}")
            .($this->said === '' ? '' : ' → '.mb_substr($this->said, 0, 120))
            .($this->why === '' ? '' : ", {$this->why}");
    }
}
