<?php

declare(strict_types=1);

namespace SilverParrot\Format;

use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;
use SilverParrot\Hearing\Gates\GateSettings;
use SilverParrot\Hearing\ResponseDraw;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Pack\CommandResponse;
use SilverParrot\Pack\Step;
use SilverParrot\Source\Limits;

/**
 * {"text": "…", "weight": 2}, or {"steps": [{"say": "…"}]} where more is done than saying a text; a weight of 1 is left
 * out. Whether it is switched on, for whom and in which category stand as in a command.
 */
final class ResponseFormat
{
    private const STEPS = 20;

    public static function read(Document $response): CommandResponse
    {
        $keys = array_map(static fn (string $kind): string => $kind::key(), ResponseDraw::CONDITIONS);
        $response->object(['id', 'text', 'steps', 'weight', ...$keys], $response->has('steps') ? [] : ['text']);
        $gates = GateSettings::read($response, ResponseDraw::CONDITIONS);
        $weight = $response->has('weight') ? $response->at('weight')->whole(1, WeightedTextFormat::HEAVIEST) : 1;
        $id = $response->has('id') ? $response->at('id')->id() : '';
        if (! $response->has('steps')) {
            $say = new Say($response->at('text')->text(Limits::SOURCE));

            return new CommandResponse([$say], $weight, $id, $gates);
        }
        if ($response->has('text')) {
            $response->at('text')->flaw(DocumentError::UnknownKey, ['key' => 'text']);
        }

        return new CommandResponse(
            array_map(StepFormat::read(...), $response->at('steps')->items(self::STEPS)),
            $weight,
            $id,
            $gates,
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
            + ($response->weight === 1 ? [] : ['weight' => $response->weight])
            + GateSettings::write($response->gates, ResponseDraw::CONDITIONS);
    }
}
