<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\CommandAlias;
use App\Storage\Assembler;
use App\Storage\CommandRepository;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use SilverParrot\Checks\CheckContext;
use SilverParrot\Checks\PhraseShared;
use SilverParrot\Hearing\AliasOffers;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Fold;

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
            'findings' => (object) array_merge_recursive($result->findings, self::shared($request, $channel, $form)),
            'errors' => (object) $form->errors(),
            'taken' => self::taken($request, $channel, $form),
            'offers' => self::offers($channel, $form),
        ]);
    }

    /**
     * Lines that set off a phrase here and one of another command, which answers them.
     *
     * @return array<string, list<array<string, mixed>>> findings by place
     */
    private static function shared(Request $request, Channel $channel, CommandForm $form): array
    {
        if ($form->command->triggers->phrases === []) {
            return [];
        }
        $own = $request->integer('command');
        $rows = $channel
            ->commands()
            ->with(['aliases', 'responses', 'expectations'])
            ->where('phrases', '<>', '[]')
            ->whereKeyNot($own)
            ->orderBy('id')
            ->get();
        // A new one comes behind all others, as it will once it is saved.
        $before = $own === 0 ? $rows : $rows->where('id', '<', $own);
        $commands = [
            ...array_values($before->map(CommandRepository::toCore(...))->all()),
            $form->command,
            ...array_values($rows->whereNotIn('id', $before->pluck('id'))->map(CommandRepository::toCore(...))->all()),
        ];
        $pack = new Pack(Pack::blank()->channel, commands: $commands, emotes: Assembler::emotes($channel));
        $place = "/commands/{$before->count()}/";
        $shared = [];
        $at = CheckContext::before($pack, Assembler::environment($channel), []);
        foreach ((new PhraseShared)->look($at) as $finding) {
            if (str_starts_with($finding->at, $place)) {
                $shared[mb_substr($finding->at, mb_strlen($place))][] = $finding->toArray() + [
                    'replacement' => null,
                    'makes' => null,
                ];
            }
        }

        return $shared;
    }

    /** @return list<string> aliases that people will type, and that are nobody’s yet */
    private static function offers(Channel $channel, CommandForm $form): array
    {
        $offers = AliasOffers::of($form->command->triggers);
        $folded = array_map(Fold::caseless(...), $offers);
        $taken = $offers === [] ? [] : [
            ...$channel->commands()->whereIn('trigger_folded', $folded)->pluck('trigger_folded')->all(),
            ...$channel->aliases()->whereIn('alias_folded', $folded)->pluck('alias_folded')->all(),
        ];

        return array_values(
            array_filter($offers, static fn (string $one): bool => ! in_array(Fold::caseless($one), $taken, true)),
        );
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
