<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary;

use SilverParrot\Source\Fold;

/** The language in one readable table. A new name, verb or filter is one class and one line here. */
final readonly class Vocabulary
{
    /** Words with a meaning of their own at the head of a value. */
    public const RESERVED = [
        'when' => true,
        'else' => true,
        'end' => true,
        'or' => true,
        'and' => true,
        'not' => true,
        'is' => true,
        'contains' => true,
        'starts' => true,
        'ends' => true,
        'to' => true,
        'by' => true,
        'from' => true,
        'for' => true,
        'as' => true,
        'yes' => true,
        'no' => true,
        'nothing' => true,
        'add' => true,
        'take' => true,
        'set' => true,
        'clear' => true,
        'roll' => true,
        'either' => true,
        'word' => true,
        'words' => true,
        'since' => true,
        'until' => true,
        'top' => true,
    ];

    /** @var array<string, Name> */
    public array $names;

    /** @var array<string, Verb> */
    public array $verbs;

    /** @var array<string, Filter> */
    public array $filters;

    public function __construct()
    {
        $this->names = self::named(
            new Names\Caller,
            new Names\Target,
            new Names\Trigger,
            new Names\Message,
            new Names\ChannelName,
            new Names\Now,
            new Names\Today,
            new Names\FactName,
            new Names\ListName,
            new Names\CounterName,
            new Names\OccasionName,
            new Names\GoodsName,
            new Names\QuoteName,
            new Names\LookupName,
            new Names\CommandsName,
            new Names\PageName,
            new Names\HappeningName,
            new Names\OutcomeName,
        );
        $this->verbs = self::named(
            new Verbs\Add,
            new Verbs\Take,
            new Verbs\Set,
            new Verbs\Clear,
        );
        $this->filters = self::named(
            new Filters\Upper,
            new Filters\Lower,
            new Filters\Title,
            new Filters\Trim,
            new Filters\Cut,
            new Filters\Replace,
            new Filters\Grouped,
            new Filters\Round,
            new Filters\Ordinal,
            new Filters\Plural,
            new Filters\Date,
            new Filters\Ago,
            new Filters\Short,
            new Filters\DefaultTo,
            new Filters\Quiet,
            new Filters\Url,
            new Filters\Mention,
            new Filters\InUnit,
            new Filters\Join,
            new Filters\First,
            new Filters\Last,
            new Filters\Count,
            new Filters\Reverse,
            new Filters\Sort,
            new Filters\Scores,
            new Filters\Link,
        );
    }

    /**
     * @template T of Name|Verb|Filter
     *
     * @param  T  ...$described
     * @return array<string, T>
     */
    private static function named(Name|Verb|Filter ...$described): array
    {
        $table = [];
        foreach ($described as $one) {
            $table[Fold::caseless($one->describe()->name)] = $one;
        }

        return $table;
    }
}
