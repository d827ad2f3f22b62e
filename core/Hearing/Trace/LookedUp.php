<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Trace;

use SilverParrot\Lookup\CannedAnswers;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\ReadingOrigin;
use SilverParrot\Lookup\Request;
use SilverParrot\Source\Message;
use SilverParrot\Value\Gap;
use SilverParrot\Value\Value;

/** A reading as it was taken: what was asked, how and when the answer was had, and what the path met in it. */
final readonly class LookedUp
{
    public function __construct(
        private Lookup $lookup,
        private Request $request,
        private null|bool|int|string|Value $value,
        private ?ReadingOrigin $origin,
    ) {
    }

    public function entry(): Entry
    {
        return new Entry(EntryKind::LookedUp, [
            'name' => "lookup.{$this->lookup->name}.{$this->request->of}",
            'address' => $this->lookup->addressShown($this->request->arguments),
            'how' => $this->how(),
            'met' => $this->met(),
        ]);
    }

    private function how(): Message
    {
        $origin = $this->origin;
        $kind = match (true) {
            $origin === null => 'nobody-knows',
            $origin->how === ReadingOrigin::ASKED && $origin->took === 0 => 'asked-some-time',
            $origin->how === ReadingOrigin::CANNED && $origin->name !== '' => 'canned-named',
            default => $origin->how,
        };

        return new Message("why.looked-up-how-$kind", $origin === null ? [] : [
            'took' => (string) $origin->took,
            'age' => self::age($origin->age),
            'called' => $origin->name,
        ]);
    }

    private function met(): Message
    {
        $path = $this->lookup->readings[$this->request->of]->path ?? '';

        return match (true) {
            $this->value instanceof Gap => new Message('why.looked-up-gap', ['why' => $this->value->message()]),
            $this->request->of === CannedAnswers::AGE => new Message('why.looked-up-age'),
            $this->origin === null || $this->origin->raw === '' => new Message('why.looked-up-met-only', [
                'path' => $path,
            ]),
            default => new Message('why.looked-up-met', ['path' => $path, 'raw' => $this->origin->raw]),
        };
    }

    private static function age(int $seconds): Message
    {
        [$unit, $of] = match (true) {
            $seconds < 120 => ['seconds', 1],
            $seconds < 7_200 => ['minutes', 60],
            $seconds < 172_800 => ['hours', 3_600],
            default => ['days', 86_400],
        };

        return new Message("why.looked-up-$unit", ['number' => (string) intdiv($seconds, $of)]);
    }
}
