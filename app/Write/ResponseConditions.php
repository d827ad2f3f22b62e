<?php

declare(strict_types=1);

namespace App\Write;

use SilverParrot\Hearing\Gates\Enabled;
use SilverParrot\Hearing\Gates\ForLevels;
use SilverParrot\Hearing\Gates\GateSettings;
use SilverParrot\Hearing\Gates\InCategory;
use SilverParrot\Hearing\ResponseDraw;
use SilverParrot\Hearing\Steps\Perform;
use SilverParrot\Hearing\Steps\RunCommand;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\CommandResponse;

/**
 * What one response has of its own, and does besides saying a text, as the form shows it; what the form has no field
 * for goes along as it is.
 */
final readonly class ResponseConditions
{
    public bool $isOff;

    /** The word of the least level; empty for everybody who may. */
    public string $level;

    /** With commas between. */
    public string $category;

    /** JSON, by the key of the setting; empty for none. */
    public string $others;

    /** Whether all that it does has a field: something done, something said, another command run, in this order. */
    public bool $hasFields;

    /** What it does before it says something; null for nothing, or where it does more than there are fields for. */
    public ?Perform $deed;

    /** The command that it runs behind what it says; null for none, or where it does more than there are fields for. */
    public ?RunCommand $run;

    public function __construct(CommandResponse $response)
    {
        $steps = $response->steps;
        $deed = $steps[0] ?? null;
        $deed = $deed instanceof Perform ? $deed : null;
        $rest = array_slice($steps, $deed === null ? 0 : 1);
        $rest = array_slice($rest, ($rest[0] ?? null) instanceof Say ? 1 : 0);
        $run = $rest[0] ?? null;
        $run = $run instanceof RunCommand ? $run : null;
        $this->hasFields = count($rest) === ($run === null ? 0 : 1);
        [$this->deed, $this->run] = $this->hasFields ? [$deed, $run] : [null, null];
        $levels = $response->gates->get(ForLevels::class);
        $category = $response->gates->get(InCategory::class);
        $hasLevelField = $levels->persons === [] && $levels->rule->anyOf === [];
        $this->isOff = ! $response->gates->get(Enabled::class)->isOn();
        $this->level = $hasLevelField ? $levels->rule->atLeast?->word() ?? '' : '';
        $this->category = $category->isExcept ? '' : implode(', ', $category->names);
        $others = array_intersect_key(
            GateSettings::write($response->gates, ResponseDraw::CONDITIONS),
            ($hasLevelField ? [] : ['levels' => true]) + ($category->isExcept ? ['category' => true] : []),
        );
        $this->others = $others === [] ? '' : json_encode($others, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }

    public function isEmpty(): bool
    {
        return ! $this->isOff && $this->level === '' && $this->category === '' && $this->others === '';
    }
}
