<?php

declare(strict_types=1);

namespace App\Remember;

use App\Models\Channel;
use App\Models\EmoteRow;
use App\Models\User;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\Emotes;
use App\Write\LookThrough;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use SilverParrot\Chat\Level;
use SilverParrot\Pack\Emote;

/** The channel's emotes: their words, pictures, and who may use them. */
final readonly class EmotesController
{
    /** Of one channel; more would not be told apart any more. */
    private const MOST = 500;

    /** Characters of all pictures of a channel together: they travel with the pack, which has a limit of its own. */
    private const ALL_PICTURES = 1_000_000;

    public function __construct(private DefinitionHistory $history)
    {
    }

    public function store(Request $request, Channel $channel, #[CurrentUser] User $user): RedirectResponse
    {
        $word = trim($request->string('word')->value());
        $picture = self::picture($request->file('picture'));
        $level = Level::named($request->string('level')->value());
        $bytes = (int) $channel->emotes()->sum(DB::raw('LENGTH(picture)'));
        $problem = match (true) {
            ! Emote::isWord($word) => '“'
                .mb_substr($word, 0, 40)
                .'” cannot be an emote: letters, digits and “_” can be in its word, two to forty of them.',
            $picture === null => 'The picture was not taken: a PNG, GIF or WebP of at most 48 kB is.',
            $channel->emotes()->where('word', $word)->exists() => "{$word} is an emote here already.",
            $channel->emotes()->count() >= self::MOST,
            $bytes + strlen($picture) > self::ALL_PICTURES => 'There is no more room for emotes: '
                .'drop one first, or take smaller pictures.',
            default => null,
        };
        if ($problem !== null) {
            return redirect()->to(route('remember', $channel).'#emotes')->withInput()->with('notice', $problem);
        }
        $this->history->change(
            $channel,
            new Emotes,
            $word,
            $user,
            null,
            static fn () => EmoteRow::query()->create([
                'channel_id' => $channel->id,
                'stable_id' => $word,
                'word' => $word,
                'picture' => $picture,
                'any_of' => $level === null || $level === Level::Everyone ? [] : [$level->word()],
            ]),
        );

        LookThrough::dispatch($channel->id);

        return redirect()->to(route('remember', $channel).'#emotes')->with('notice', "{$word} is an emote now.");
    }

    public function destroy(Channel $channel, EmoteRow $emote, #[CurrentUser] User $user): RedirectResponse
    {
        $this->history->change($channel, new Emotes, $emote->word, $user, null, static fn () => $emote->delete());
        LookThrough::dispatch($channel->id);

        return redirect()
            ->to(route('remember', $channel).'#emotes')
            ->with('notice', "{$emote->word} is no emote any more.");
    }

    /** Its pixels never change: another picture is another emote. */
    public function show(Channel $channel, EmoteRow $emote): Response
    {
        if (preg_match('#^data:(image/(?:png|gif|webp));base64,#', $emote->picture, $kind) !== 1) {
            abort(Response::HTTP_NOT_FOUND);
        }

        return response(
            (string) base64_decode(substr($emote->picture, strlen($kind[0])), true),
            headers: ['Content-Type' => $kind[1], 'Cache-Control' => 'private, max-age=31536000, immutable'],
        );
    }

    /** @return string|null as it is kept, empty where none was sent; null for what is no picture */
    private static function picture(mixed $file): ?string
    {
        if (! $file instanceof UploadedFile) {
            return '';
        }
        $bytes = $file->isValid()
            ? (string) file_get_contents($file->getPathname(), length: Emote::LONGEST_PICTURE)
            : '';
        foreach (['png', 'gif', 'webp'] as $kind) {
            $picture = "data:image/{$kind};base64,".base64_encode($bytes);
            if (strlen($picture) <= Emote::LONGEST_PICTURE && Emote::isPicture($picture)) {
                return $picture;
            }
        }

        return null;
    }
}
