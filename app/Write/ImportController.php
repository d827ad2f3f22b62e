<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\User;
use App\Storage\Assembler;
use App\Storage\CommandRepository;
use App\Storage\TriggerTaken;
use App\Wording\Sentences;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use SilverParrot\Source\Limits;

/** Importing commands: lines or a table from elsewhere, looked at before anything is kept. */
final readonly class ImportController
{
    public function __construct(
        private Assembler $assembler,
        private CommandRepository $rows,
        private Sentences $sentences,
    ) {
    }

    /** Empty, or with what an import has left behind. */
    public function create(Request $request, Channel $channel): View
    {
        $form = ImportForm::read($request->merge((array) $request->session()->getOldInput()));

        return $this->page($request, $channel, $form, $this->rowsOf($channel, $form));
    }

    public function store(Request $request, Channel $channel, #[CurrentUser] User $user): View|RedirectResponse
    {
        $form = ImportForm::read($request);
        $rows = $this->rowsOf($channel, $form);
        $mend = $request->string('mend')->value();
        if ($mend !== '') {
            $mended = array_filter(
                $rows,
                static fn (ImportRow $row, string $key): bool => $row->canBeMended()
                    && ($mend === 'all' || $mend === $key),
                ARRAY_FILTER_USE_BOTH,
            );
            $form = $form->with(array_map(static fn (ImportRow $row): string => $row->mended(), $mended));

            return $this->page($request, $channel, $form, $this->rowsOf($channel, $form));
        }
        if (! $request->has('import')) {
            return $this->page($request, $channel, $form, $rows);
        }
        $left = self::left($request);
        $wanted = array_filter(
            $rows,
            static fn (ImportRow $row, string $key): bool => $row->canBeKept() && ! in_array($key, $left, true),
            ARRAY_FILTER_USE_BOTH,
        );
        if ($channel->commands()->count() + count($wanted) > Limits::COMMANDS) {
            $most = number_format(Limits::COMMANDS);

            return $this->page($request, $channel, $form, $rows)->with(
                'problem',
                "A channel has at most $most commands; leave some out.",
            );
        }
        try {
            $batch = $this->rows->saveAll(
                $channel,
                array_values(array_map(static fn (ImportRow $row) => $row->command, $wanted)),
                $user,
            );
        } catch (TriggerTaken $taken) {
            // Somebody saved one of them at this moment; nothing was kept, and the page says which.
            return $this->page($request, $channel, $form, $rows)->with(
                'problem',
                $taken->getMessage().' Nothing was imported.',
            );
        }

        return $this->after($request, $channel, $form, array_keys($wanted), count($rows) - count($wanted))->with(
            'undo',
            route('write.import.undo', [$channel, $batch]),
        );
    }

    public function undo(Channel $channel, string $batch, #[CurrentUser] User $user): RedirectResponse
    {
        [$deleted, $kept] = $this->rows->undoAll($channel, $batch, $user);

        return redirect()
            ->route('write', $channel)
            ->with('notice', match (true) {
                $kept === 0 => 'The import was undone: '.self::commands($deleted).' deleted.',
                default => ucfirst(self::commands($deleted)).' deleted; '
                    .self::commands($kept).' changed since, and kept.',
            });
    }

    /** @param  list<string>  $imported  keys of rows */
    private function after(
        Request $request,
        Channel $channel,
        ImportForm $form,
        array $imported,
        int $behind,
    ): RedirectResponse {
        $notice = ucfirst(self::commands(count($imported))).' imported.';
        if ($behind === 0) {
            return redirect()->route('write', $channel)->with('notice', $notice);
        }

        return redirect()
            ->route('write.import', $channel)
            ->withInput(
                ['pasted' => $form->pastedWithout($imported)]
                    + $request->only(['columns', 'units', 'has_heading', 'triggers', 'texts', 'leave']),
            )
            ->with('notice', "$notice ".ucfirst(self::commands($behind)).' stayed behind.');
    }

    private static function commands(int $count): string
    {
        return $count === 1 ? 'one command' : "$count commands";
    }

    /** @return list<string> keys of rows that are not to be imported */
    private static function left(Request $request): array
    {
        return array_values(array_filter((array) $request->input('leave', []), is_string(...)));
    }

    /** @return array<string, ImportRow> by key */
    private function rowsOf(Channel $channel, ImportForm $form): array
    {
        return $form->rows($channel, $this->assembler, $this->sentences);
    }

    /** @param  array<string, ImportRow>  $rows */
    private function page(Request $request, Channel $channel, ImportForm $form, array $rows): View
    {
        return view('write.import', [
            'channel' => $channel,
            'form' => $form,
            'rows' => $rows,
            'leave' => self::left($request),
            'problem' => '',
        ]);
    }
}
