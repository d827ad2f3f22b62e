<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Parameters;

use SilverParrot\Value\Gap;
use SilverParrot\Value\GapReason;

/** One parameter of a look-up: what it may be, and what it is where the response does not say. */
final readonly class Parameter
{
    /** Characters of one, where nothing shorter is set. */
    public const LONGEST = 200;

    /** Characters of the sentence that is told instead. */
    public const SENTENCE = 200;

    /**
     * @param  string  $default  what it is where neither the response nor $from says; empty for nothing
     * @param  string  $sample  what it is tried with
     * @param  string  $from  an operand of the response language that says it where the response does not: "words",
     *     "caller.boat", "fact.account", "lookup.find.number"; empty for none
     * @param  string  $sentence  why what is typed cannot be; empty for one of the parrot's own
     * @param  bool  $isSecret  whether its value is kept elsewhere, and never said, shown or given away
     * @param  bool  $isLanguage  whether it is the channel's language, always
     */
    public function __construct(
        public string $name,
        public ParameterRule $rule = new AnyText,
        public string $default = '',
        public string $sample = '',
        public string $from = '',
        public string $sentence = '',
        public int $longest = self::LONGEST,
        public bool $isLanguage = false,
        public bool $isSecret = false,
    ) {
    }

    /** @param  string  $typed  what it may not be; empty where there is nothing to look it up with */
    public function refusal(string $typed): Gap
    {
        return match (true) {
            $this->sentence !== '' => new Gap(GapReason::LookupParameter, ['sentence' => $this->sentence]),
            $typed === '' => new Gap(GapReason::LookupParameterMissing, ['name' => $this->name]),
            default => new Gap(GapReason::LookupParameterOdd, ['name' => $this->name, 'value' => $typed]),
        };
    }

    /** @return string|null as it goes into the address, null where it may not; empty for nothing said */
    public function admitted(string $typed): ?string
    {
        $typed = trim($typed);
        if ($typed === '') {
            return $this->default === '' ? '' : $this->rule->admitted($this->default);
        }

        return mb_strlen($typed) > $this->longest ? null : $this->rule->admitted($typed);
    }
}
