<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\CommandAlias;
use App\Storage\CommandRepository;
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
            $request->boolean('all'),
        );

        return response()->json([
            'html' => view('write.partials.preview', ['preview' => $result, 'channel' => $channel])->render(),
            'sentence' => $result->sentence,
            'findings' => (object) $result->findings,
            'errors' => (object) $form->errors(),
            'taken' => self::taken($request, $channel, $form),
        ]);
    }

    /**
     * Told while it is typed, and not when somebody saves.
     *
     * @return array{trigger: string, by: string, url: string}|null the command that has a trigger already
     */
    private static function taken(Request $request, Channel $channel, CommandForm $form): ?array
    {
        $own = $channel->commands()->whereKey($request->integer('command'))->first();
        $taken = CommandRepository::taken($channel, $form->command, $own);
        $other = $taken instanceof CommandAlias
            ? $channel->commands()->whereKey($taken->command_id)->first()
            : $taken;

        return $taken === null || $other === null
            ? null
            : [
                'trigger' => $taken instanceof CommandAlias ? $taken->alias : $taken->trigger,
                'by' => $other->trigger,
                'url' => route('write.command', [$channel, $other]),
            ];
    }
}
