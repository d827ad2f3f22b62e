<?php

declare(strict_types=1);

namespace App\Remember\Goods;

use App\Models\Channel;
use App\Remember\NamedOverview;
use App\Storage\Assembler;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use SilverParrot\Source\Fold;

/** What viewers can own: made and changed, how many were sold, and who has them. */
final readonly class GoodsController
{
    public function __invoke(
        Request $request,
        Channel $channel,
        Assembler $assembler,
        NamedOverview $named,
        GoodsOwned $owned,
    ): View {
        $find = mb_substr($request->string('find')->trim()->value(), 0, 100);

        return view('remember.goods', [
            'channel' => $channel,
            'find' => $find,
            'named' => $named->of($channel, Fold::caseless($find)),
            'owned' => $owned->of($channel, $assembler->names($channel)),
        ]);
    }
}
