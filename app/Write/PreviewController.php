<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class PreviewController
{
    public function __invoke(Request $request, Channel $channel, Preview $preview): JsonResponse
    {
        $form = CommandForm::read($request);
        $result = $preview->of(
            $channel,
            $form->command,
            $request->integer('focus'),
            $request->string('person')->value(),
            mb_substr($request->string('typed')->value(), 0, 500),
        );

        return response()->json([
            'html' => view('write.partials.preview', ['preview' => $result, 'channel' => $channel])->render(),
            'sentence' => $result->sentence,
            'findings' => (object) $result->findings,
            'errors' => (object) $form->errors(),
        ]);
    }
}
