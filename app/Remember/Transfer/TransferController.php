<?php

declare(strict_types=1);

namespace App\Remember\Transfer;

use App\Models\Channel;
use App\Models\User;
use App\Write\LookThrough;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Rows of one kind, taken away as a file, and brought with a look before anything is kept. */
final readonly class TransferController
{
    /** So long what was brought waits for somebody to decide. */
    private const MINUTES = 60;

    public function __construct(private Transfers $transfers, private Repository $cache)
    {
    }

    public function take(Request $request, Channel $channel, string $transfer, string $format): StreamedResponse
    {
        $of = $this->transfer($request, $channel, $transfer);
        $name = preg_replace('/[^a-z0-9_]+/', '-', "{$channel->login}-$transfer");

        return response()->streamDownload(
            static function () use ($of, $channel, $format): void {
                $format === 'csv' ? self::csv($of, $channel) : self::json($of, $channel);
            },
            "$name.$format",
            ['Content-Type' => $format === 'csv' ? 'text/csv; charset=utf-8' : 'application/json'],
        );
    }

    public function bring(Request $request, Channel $channel, string $transfer): View
    {
        return $this->page($request, $channel, $this->transfer($request, $channel, $transfer), []);
    }

    public function look(BroughtRequest $request, Channel $channel, string $transfer, #[CurrentUser] User $user): View
    {
        $of = $this->transfer($request, $channel, $transfer);
        $text = $request->text();
        $brought = BroughtText::read($text, $of);
        if ($brought->problem === '') {
            $this->cache->put(self::key($request, $channel, $of, $user), $text, now()->addMinutes(self::MINUTES));
        }

        return $this->page($request, $channel, $of, $of->look($channel, $brought->rows), $text, $brought->problem);
    }

    public function keep(
        Request $request,
        Channel $channel,
        string $transfer,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $of = $this->transfer($request, $channel, $transfer);
        $text = $this->cache->pull(self::key($request, $channel, $of, $user));
        $back = redirect()->route('remember.bring', [$channel, $transfer, 'of' => $request->query('of')]);
        if (! is_string($text)) {
            return $back->with('notice', 'It waited too long. Bring it again; nothing was kept.');
        }
        // Looked at anew: what is here may have changed meanwhile.
        $rows = array_values(
            array_filter(
                $of->look($channel, BroughtText::read($text, $of)->rows),
                static fn (BroughtRow $row): bool => $row->isKept(),
            ),
        );
        $of->keep($channel, $rows, $user);
        LookThrough::dispatch($channel->id);

        return $back->with('notice', count($rows) === 1 ? 'One is kept.' : number_format(count($rows)).' are kept.');
    }

    /** @param  list<BroughtRow>  $rows */
    private function page(
        Request $request,
        Channel $channel,
        Transfer $transfer,
        array $rows,
        string $text = '',
        string $problem = '',
    ): View {
        $of = $request->query('of');

        return view()->make('remember.bring', [
            'channel' => $channel,
            'transfer' => $transfer,
            'rows' => $rows,
            'text' => $text,
            'problem' => $problem,
            'of' => is_string($of) ? $of : null,
        ]);
    }

    private function transfer(Request $request, Channel $channel, string $key): Transfer
    {
        $of = $request->query('of');

        return $this->transfers->of($channel, $key, is_string($of) ? $of : '') ?? abort(Response::HTTP_NOT_FOUND);
    }

    private static function key(Request $request, Channel $channel, Transfer $transfer, User $user): string
    {
        $of = $request->query('of');

        return "brought {$transfer->key()} {$channel->id} {$user->id} ".hash('xxh64', is_string($of) ? $of : '');
    }

    private static function csv(Transfer $transfer, Channel $channel): void
    {
        echo Csv::line($transfer->columns());
        foreach ($transfer->rows($channel) as $row) {
            $cell = static fn (string $column): int|string => $row[$column] ?? '';
            echo Csv::line(array_map($cell, $transfer->columns()));
        }
    }

    private static function json(Transfer $transfer, Channel $channel): void
    {
        $before = "[\n";
        foreach ($transfer->rows($channel) as $row) {
            $row = array_filter($row, static fn (int|string $value): bool => $value !== '');
            echo $before.'  '.json_encode($row, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
            $before = ",\n";
        }
        echo $before === "[\n" ? "[]\n" : "\n]\n";
    }
}
