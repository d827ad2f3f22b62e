<?php

declare(strict_types=1);

namespace Tests\Feature\Remember;

use App\Models\DefinitionChange;
use App\Storage\MariaDbQuotes;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use SilverParrot\Memory\QuoteSearch;
use Tests\Feature\Air\OnAir;
use Tests\Feature\DatabaseWork;
use Tests\Feature\TestCase;

final class QuotesTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
    }

    public function test_a_quote_is_kept_changed_deleted_and_brought_back(): void
    {
        $next = $this->last() + 1;
        $typed = ['text' => 'The gull took the chisel.', 'by' => '@Odo', 'category' => 'Planking']
            + ['date' => '2026-11-25'];
        $this->post(route('remember.quotes.store', $this->cove), $typed)->assertRedirect();
        $kept = $this->quotes()->numbered($next);
        self::assertSame(
            ['The gull took the chisel.', 'Odo', 'Planking', '2026-11-25T20:00:00Z', 'Wren'],
            [$kept?->text, $kept?->by, $kept?->category, $kept?->date?->iso(), $kept?->keptBy],
            'what was kept today has the time of day',
        );
        $this->put(route('remember.quotes.update', [$this->cove, $next]), ['text' => 'The gull took both.'] + $typed);
        self::assertSame('The gull took both.', $this->quotes()->numbered($next)?->text);
        self::assertSame('2026-11-25T20:00:00Z', $this->quotes()->numbered($next)?->date?->iso());
        $this->delete(route('remember.quotes.destroy', [$this->cove, $next]));
        $undo = session('undo');
        self::assertNull($this->quotes()->numbered($next));
        $this->get(route('remember.quotes', [$this->cove, 'find' => "#$next"]))->assertSee("Quote $next was deleted.");
        self::assertIsString($undo);
        $this->post($undo)->assertRedirect();
        self::assertSame('The gull took both.', $this->quotes()->numbered($next)?->text);
        self::assertSame(1, $this->quotes()->count(QuoteSearch::words('gull both')), 'its words are found again');
        $this->delete(route('remember.quotes.destroy', [$this->cove, $next]));
        $this->post(route('remember.quotes.store', $this->cove), $typed);
        self::assertSame($next + 1, $this->last(), 'no number is given twice');
    }

    public function test_what_is_wrong_stands_beside_its_field_and_what_was_typed_stays(): void
    {
        $this->followingRedirects()
            ->post(route('remember.quotes.store', $this->cove), [
                'text' => 'Kept?',
                'link' => 'javascript:alert(1)',
                'date' => 'yesterday',
            ])
            ->assertSee('An address begins with https://')
            ->assertSee('A date is written like 2026-11-25.')
            ->assertSee('Kept?');
        $this->delete(route('remember.quotes.destroy', [$this->cove, 999]))->assertRedirect();
        self::assertSame('There is no quote 999; nothing was changed.', session('notice'));
        $answers = ['999' => 'There is no quote 999', '#0' => 'There is no quote 0', 'zebra' => 'all of these words'];
        foreach ($answers as $find => $told) {
            $this->get(route('remember.quotes', [$this->cove, 'find' => $find]))->assertOk()->assertSee($told);
        }
    }

    public function test_a_line_of_the_real_chat_is_kept_as_it_stands(): void
    {
        $line = OnAir::of($this->cove)->hear('odo', 'That knot is <b>legally</b> mine now.');
        $this->get(route('publish.why', [$this->cove, $line]))->assertSee('Keep as quote');
        $this->get(route('remember.quotes', [$this->cove, 'line' => $line]))
            ->assertSee('That knot is &lt;b&gt;legally&lt;/b&gt; mine now.</textarea>', false)
            ->assertSee('value="Odo"', false);
    }

    public function test_quotes_are_looked_at_before_they_are_kept_and_come_back_from_a_file(): void
    {
        $before = $this->last();
        $csv = "number,text,by,date\r\n,\"Two lines,\r\nand a \"\"quote\"\"\",Tamsin,2026-03-01\r\n"
            ."900,'=SUM(A1),Odo,\r\n901,,Odo,\r\n902,Fair,Odo,someday\r\n";
        $brought = UploadedFile::fake()->createWithContent('quotes.csv', $csv);
        $this->post(route('remember.look', [$this->cove, 'quotes']), ['file' => $brought])
            ->assertSee('2 new, 2 left out')
            ->assertSee('It has no text.')
            ->assertSee('“someday” is no date');
        self::assertSame($before, $this->last(), 'nothing is kept by looking');
        $this->post(route('remember.bring.keep', [$this->cove, 'quotes']))->assertRedirect();
        self::assertSame("Two lines,\r\nand a \"quote\"", $this->quotes()->numbered(901)?->text, 'behind the highest');
        self::assertSame('=SUM(A1)', $this->quotes()->numbered(900)?->text);
        $taken = $this->get(route('remember.take', [$this->cove, 'quotes', 'csv']))->streamedContent();
        self::assertStringContainsString("900,'=SUM(A1),Odo", $taken, 'no spreadsheet reckons with it');
        $json = $this->get(route('remember.take', [$this->cove, 'quotes', 'json']))->streamedContent();
        foreach ([$taken, $json] as $text) {
            $this->post(route('remember.look', [$this->cove, 'quotes']), ['pasted' => $text])
                ->assertSee(($before + 2).' the same')
                ->assertDontSee('Keep it');
        }
        $this->post(route('remember.look', [$this->cove, 'quotes']), ['pasted' => "One more\tJonah\n\nAnd another"])
            ->assertSee('1 left out');
        $this->post(route('remember.look', [$this->cove, 'quotes']), ['pasted' => '[{"txt": "x"}]'])
            ->assertSee('Entry 1 has “txt”');
        $this->post(route('remember.bring.keep', [$this->cove, 'lists']))->assertNotFound();
    }

    public function test_very_many_are_kept_in_one_turn(): void
    {
        $line = static fn (int $n): string => "Saying number $n of the evening";
        $lines = implode("\n", array_map($line, range(1, 9_000)));
        $this->post(route('remember.look', [$this->cove, 'quotes']), ['pasted' => $lines])->assertSee('9,000 new');
        $this->post(route('remember.bring.keep', [$this->cove, 'quotes']));
        self::assertSame(9_000, $this->quotes()->count(QuoteSearch::words('saying evening')));
        $work = DatabaseWork::of(fn () => $this->get(route('remember.quotes', [$this->cove, 'find' => 'evening sayi']))
            ->assertSee('9,000 quotes'));
        self::assertLessThan(16, count($work->statements));
        self::assertLessThan(120, $work->rows);
    }

    public function test_how_quotes_are_drawn_is_set_with_history_and_published_with_the_pack(): void
    {
        $this->put(route('remember.quotes.habits', $this->cove), ['seen' => 0, 'dates' => 'y']);
        $this->cove->refresh();
        self::assertSame([false, 'y'], [$this->cove->quotes_all_once, $this->cove->quote_dates]);
        $this->from(route('remember.quotes', $this->cove))
            ->put(route('remember.quotes.habits', $this->cove), ['seen' => 0, 'dates' => 'd'])
            ->assertSessionHasErrors('quotes');
        $change = DefinitionChange::query()->where('kind', 'quotes')->firstOrFail();
        $this->post(route('definitions.undo', [$this->cove, $change]));
        self::assertTrue($this->cove->refresh()->quotes_all_once);
    }

    private function quotes(): MariaDbQuotes
    {
        return new MariaDbQuotes(DB::connection(), $this->cove->id);
    }

    private function last(): int
    {
        return $this->quotes()->newest()->number ?? 0;
    }
}
