<?php

declare(strict_types=1);

namespace App\Write;

use App\Models\Channel;
use App\Models\User;
use App\Storage\Assembler;
use App\Storage\CommandRepository;
use App\Storage\TriggerTaken;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use SilverParrot\Source\Limits;

/** Bring what you have: lines or a table from elsewhere, looked at before anything is kept. */
final readonly class ImportController
{
    public function __construct(private Assembler $assembler, private CommandRepository $rows)
    {
    }

    public function create(Request $request, Channel $channel): View
    {
        return $this->page($channel, ImportForm::read($request));
    }

    public function store(Request $request, Channel $channel, #[CurrentUser] User $user): View|RedirectResponse
    {
        $form = ImportForm::read($request);
        $rows = $form->rows($channel, $this->assembler);
        $mend = $request->string('mend')->value();
        if ($mend !== '') {
            $mended = array_filter(
                $rows,
                static fn (ImportRow $row, string $key): bool => $row->canBeMended()
                    && ($mend === 'all' || $mend === $key),
                ARRAY_FILTER_USE_BOTH,
            );

            return $this->page(
                $channel,
                $form->with(array_map(static fn (ImportRow $row): string => $row->mended(), $mended)),
            );
        }
        if (! $request->has('bring')) {
            return $this->page($channel, $form);
        }
        $left = array_filter((array) $request->input('leave', []), is_string(...));
        $wanted = array_filter(
            $rows,
            static fn (ImportRow $row, string $key): bool => $row->problem === '' && ! in_array($key, $left, true),
            ARRAY_FILTER_USE_BOTH,
        );
        if ($channel->commands()->count() + count($wanted) > Limits::COMMANDS) {
            return $this->page($channel, $form)->with(
                'problem',
                'A channel has at most '.number_format(Limits::COMMANDS).' commands; leave some out.',
            );
        }
        try {
            DB::transaction(function () use ($wanted, $channel, $user): void {
                foreach ($wanted as $row) {
                    $this->rows->save($channel, null, $row->command, $user, null);
                }
            });
        } catch (TriggerTaken $taken) {
            // Somebody saved one of them at this moment; nothing was kept, and the page says which.
            return $this->page($channel, $form)->with('problem', $taken->getMessage().' Nothing was kept yet.');
        }

        return redirect()
            ->route('write', $channel)
            ->with(
                'notice',
                count($wanted) === 1
                    ? 'One command was brought along.'
                    : count($wanted).' commands were brought along.',
            );
    }

    private function page(Channel $channel, ImportForm $form): View
    {
        return view('write.bring', [
            'channel' => $channel,
            'form' => $form,
            'rows' => $form->rows($channel, $this->assembler),
            'problem' => '',
        ]);
    }
}
