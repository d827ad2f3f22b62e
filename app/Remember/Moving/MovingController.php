<?php

declare(strict_types=1);

namespace App\Remember\Moving;

use App\Models\Channel;
use App\Models\User;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\File;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Moving house: all that is remembered is taken along, and brought where the same pack is. */
final readonly class MovingController
{
    /** A file that was looked at waits so long to be kept, in seconds. */
    private const WAITS = 3_600;

    public function __construct(private KeptMemory $memory, private MovingProgress $progress)
    {
    }

    public function index(Channel $channel): View
    {
        return view('remember.moving', [
            'channel' => $channel,
            'looked' => null,
            'progress' => $this->progress->of($channel),
        ]);
    }

    public function take(Channel $channel): StreamedResponse
    {
        return response()->streamDownload(
            function () use ($channel): void {
                foreach ($this->memory->lines($channel) as $line) {
                    echo $line;
                }
            },
            "{$channel->login}-memory.jsonl",
            ['Content-Type' => 'application/jsonl; charset=utf-8'],
        );
    }

    public function look(Request $request, Channel $channel, #[CurrentUser] User $user): View|RedirectResponse
    {
        $file = $request->file('file');
        if (! $file instanceof UploadedFile || ! $file->isValid()) {
            return redirect()->route('remember.moving', $channel)->withErrors([
                'file' => 'Choose a file of at most 4 MB that was exported here. A larger one is brought with php '
                    .'artisan parrot:memory.',
            ]);
        }
        $waiting = self::waiting($channel, $user);
        File::ensureDirectoryExists(dirname($waiting), 0700);
        // What nobody has kept is nobody's to find later.
        foreach (File::glob(dirname($waiting).'/*.jsonl*') as $old) {
            is_string($old) && filemtime($old) < time() - self::WAITS && File::delete($old);
        }
        $file->move(dirname($waiting), basename($waiting));

        return view('remember.moving', [
            'channel' => $channel,
            'looked' => $this->memory->look($channel, FileLines::of($waiting)),
            'progress' => null,
        ]);
    }

    public function bring(Channel $channel, #[CurrentUser] User $user): RedirectResponse
    {
        $waiting = self::waiting($channel, $user);
        $back = redirect()->route('remember.moving', $channel);
        if (($this->progress->of($channel)['isOver'] ?? true) === false) {
            return $back->with('notice', 'Another file is on its way: wait until it is in, or stop it.');
        }
        if (! is_file($waiting) || filemtime($waiting) < time() - self::WAITS) {
            return $back->with('notice', 'It waited too long. Choose the file again; nothing was kept.');
        }
        // Another file may be looked at meanwhile.
        $taken = "$waiting.taken";
        File::move($waiting, $taken);
        $this->progress->begin($channel, max(0, iterator_count(FileLines::of($taken)) - 1));
        BringMemory::dispatch($channel->id, $taken);

        return $back;
    }

    public function stop(Channel $channel): RedirectResponse
    {
        $this->progress->stop($channel);

        return redirect()->route('remember.moving', $channel)->with('notice', 'It stops; what is kept so far stays.');
    }

    private static function waiting(Channel $channel, User $user): string
    {
        return storage_path("app/private/moving/{$channel->id}-{$user->id}.jsonl");
    }
}
