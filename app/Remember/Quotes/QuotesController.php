<?php

declare(strict_types=1);

namespace App\Remember\Quotes;

use App\Air\Log;
use App\Models\Channel;
use App\Models\User;
use App\Remember\MemoryEditor;
use App\Storage\Assembler;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\QuoteHabits;
use App\Storage\MariaDbQuotes;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Connection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use SilverParrot\Memory\KeptQuotes;
use SilverParrot\Memory\Key;
use SilverParrot\Memory\Kind;
use SilverParrot\Memory\Quote;
use SilverParrot\Memory\QuoteSearch;
use SilverParrot\Memory\Reads;
use SilverParrot\Memory\View as Memory;
use SilverParrot\Response\Evaluation\Printer;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Number;

/** What was said and is kept: found, kept, changed and deleted. */
final readonly class QuotesController
{
    private const SHOWN = 50;

    public function __construct(private Connection $connection, private MemoryEditor $memory)
    {
    }

    public function index(Request $request, Channel $channel, Log $log, Assembler $assembler): View
    {
        $quotes = new MariaDbQuotes($this->connection, $channel->id);
        $find = mb_substr($request->string('find')->trim()->value(), 0, 200);
        $by = mb_substr($request->string('by')->trim()->value(), 0, Limits::QUOTE_BY);
        $number = Number::typed(ltrim($find, '#'));
        $asked = is_int($number) && $by === '' ? $number : null;
        $search = QuoteSearch::words($find);
        $search = $by === '' ? $search : $search->by($by);
        $count = $quotes->count($search);
        $page = min(max(1, $request->integer('page')), max(1, (int) ceil($count / self::SHOWN)));
        $numbered = $asked === null ? null : $quotes->numbered($asked);
        $line = $request->integer('line') > 0 ? $log->line($channel->id, $request->integer('line')) : null;
        $edited = $quotes->numbered($request->integer('edit'));

        return view('remember.quotes', [
            'channel' => $channel,
            'find' => $find,
            'by' => $by,
            'shown' => match (true) {
                $asked === null => $quotes->some($search, ($page - 1) * self::SHOWN, self::SHOWN, isNewestFirst: true),
                $numbered === null => [],
                default => [$numbered],
            },
            'missing' => $asked === null || $numbered !== null ? '' : $this->missing($channel, $asked),
            'count' => $asked === null ? $count : (int) ($numbered !== null),
            'page' => $page,
            'pages' => $asked === null ? (int) ceil($count / self::SHOWN) : 1,
            'edited' => $edited,
            'new' => $line === null
                ? new Quote(0, '', '', self::category($channel))
                : new Quote(
                    0,
                    mb_substr($line->text, 0, Limits::READING),
                    $line->by->name,
                    self::category($channel),
                    $line->at,
                ),
            'printer' => new Printer(Assembler::channel($channel)),
            'isEmpty' => $quotes->newest() === null,
        ]);
    }

    public function store(QuoteRequest $request, Channel $channel, #[CurrentUser] User $user): RedirectResponse
    {
        $kept = 0;
        $this->memory->change(
            $channel,
            $user,
            KeptQuotes::reads(),
            static function (Memory $memory) use ($request, $user, &$kept): array {
                $kept = KeptQuotes::nextNumber($memory);

                return KeptQuotes::keep($request->quote($kept, null, $user->name), $memory);
            },
        );

        return redirect()->route('remember.quotes', $channel)->with('notice', "Kept as quote $kept.");
    }

    public function update(
        QuoteRequest $request,
        Channel $channel,
        int $quote,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $isThere = $this->become(
            $channel,
            $quote,
            $user,
            static fn (Quote $was): Quote => $request->quote($quote, $was, ''),
        );

        return $this->done($channel, $quote, $isThere ? "Quote $quote is saved." : self::gone($quote), $isThere);
    }

    public function destroy(Channel $channel, int $quote, #[CurrentUser] User $user): RedirectResponse
    {
        $isThere = $this->become($channel, $quote, $user, static fn (): ?Quote => null);

        return $this->done(
            $channel,
            $quote,
            $isThere ? "Quote $quote is deleted; its number is not used again." : self::gone($quote),
            $isThere,
        );
    }

    public function habits(
        QuoteHabitsRequest $request,
        Channel $channel,
        DefinitionHistory $history,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $history->change(
            $channel,
            new QuoteHabits,
            '',
            $user,
            $request->integer('seen'),
            static fn () => $channel->update($request->columns()),
        );

        return redirect()
            ->route('remember.quotes', $channel)
            ->with('notice', 'Saved in the draft; publish it to put it on the air.');
    }

    /** @param  \Closure(Quote): ?Quote  $to */
    private function become(Channel $channel, int $number, User $by, \Closure $to): bool
    {
        $isThere = false;
        $this->memory->change(
            $channel,
            $by,
            Reads::of(Key::quote($number)),
            static function (Memory $memory) use ($number, $to, &$isThere): array {
                $was = Quote::fromRecord($number, $memory->value(Key::quote($number)));
                $isThere = $was !== null;

                return $was === null ? [] : [KeptQuotes::become($number, $to($was), $memory)];
            },
        );

        return $isThere;
    }

    private function done(Channel $channel, int $number, string $notice, bool $isThere): RedirectResponse
    {
        $change = $isThere ? $this->lastChange($channel, $number) : null;

        return redirect()
            ->route('remember.quotes', $channel)
            ->with('notice', $notice)
            ->with('undo', $change === null ? null : route('remember.undo', [$channel, $change]));
    }

    private function lastChange(Channel $channel, int $number): ?int
    {
        $id = $this->connection->scalar(
            'SELECT MAX(id) FROM memory_history WHERE channel_id = ? AND kind = ? AND name = ?',
            [$channel->id, Kind::Quote->value, (string) $number],
        );

        return is_int($id) ? $id : null;
    }

    private static function gone(int $number): string
    {
        return "There is no quote $number; nothing was changed.";
    }

    /** Whether a number is to come, or is gone. */
    private function missing(Channel $channel, int $number): string
    {
        $last = $this->connection->scalar('SELECT number FROM last_quotes WHERE channel_id = ?', [$channel->id]);
        $last = is_int($last) ? $last : 0;

        return match (true) {
            $last === 0 => 'No quote has been kept yet.',
            $number < 1 || $number > $last => "There is no quote $number; the last one is $last.",
            default => "Quote $number was deleted.",
        };
    }

    private static function category(Channel $channel): string
    {
        $category = $channel->details['category'] ?? '';

        return is_string($category) ? $category : '';
    }
}
