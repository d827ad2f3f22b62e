<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\CommandResponse;
use SilverParrot\Pack\Step;
use SilverParrot\Source\Limits;

/**
 * {"text": "…", "weight": 2}, or {"steps": [{"say": "…"}]} where more is done than saying a text; a weight of 1 is left
 * out.
 */
final class ResponseFormat
{
    private const STEPS = 20;

    public static function read(Document $response): CommandResponse
    {
        $response->object(['id', 'text', 'steps', 'weight'], $response->has('steps') ? [] : ['text']);
        $weight = $response->has('weight') ? $response->at('weight')->whole(1, WeightedTextFormat::HEAVIEST) : 1;
        $id = $response->has('id') ? $response->at('id')->id() : '';
        if (! $response->has('steps')) {
            return Say::response($response->at('text')->text(Limits::SOURCE), $weight, $id);
        }
        if ($response->has('text')) {
            $response->at('text')->flaw(DocumentError::UnknownKey, ['key' => 'text']);
        }

        return new CommandResponse(
            array_map(StepFormat::read(...), $response->at('steps')->items(self::STEPS)),
            $weight,
            $id,
        );
    }

    /**
     * @param  int  $place  among the command's responses: what has its place for an id needs no other
     * @return array<string, mixed>
     */
    public static function write(CommandResponse $response, int $place): array
    {
        return ($response->id === (string) $place ? [] : ['id' => $response->id])
            + ($response->isPlain()
                ? ['text' => $response->text()]
                : ['steps' => array_map(static fn (Step $step): array => $step->write(), $response->steps)])
            + ($response->weight === 1 ? [] : ['weight' => $response->weight]);
    }
}
