<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\FieldRow;
use App\Models\GoodsRow;
use App\Models\LadderRow;
use SilverParrot\Pack\FieldType;

/** What conditions of a command can name, offered while they are typed. */
final class ConditionNames
{
    /** @return array{field: list<string>, rank: list<string>, goods: list<string>, points: list<string>} */
    public static function of(Channel $channel): array
    {
        $names = ['field' => [], 'rank' => [], 'goods' => [], 'points' => []];
        foreach ($channel->fields()->orderBy('id')->get(['name', 'type']) as $field) {
            /** @var FieldRow $field */
            $names['field'][] = $field->name;
            if ($field->type === FieldType::Points) {
                $names['points'][] = $field->name;
            }
        }
        foreach ($channel->ladders()->get(['ranks']) as $ladder) {
            /** @var LadderRow $ladder */
            array_push($names['rank'], ...array_values($ladder->ranks));
        }
        foreach ($channel->goods()->orderBy('id')->get(['name']) as $goods) {
            /** @var GoodsRow $goods */
            $names['goods'][] = $goods->name;
        }

        return $names;
    }
}
