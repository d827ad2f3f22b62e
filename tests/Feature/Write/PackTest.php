<?php

declare(strict_types=1);

namespace Tests\Feature\Write;

use App\Models\Channel;
use App\Storage\Assembler;
use Illuminate\Http\UploadedFile;
use Illuminate\Testing\TestResponse;
use SilverParrot\Format\PackFormat;
use Tests\Demo;
use Tests\Feature\TestCase;

/** The whole pack as one document, out and in. */
final class PackTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->wren);
    }

    public function test_what_is_exported_is_imported_elsewhere_as_it_was(): void
    {
        $document = $this->exported($this->cove);
        self::assertSame([], PackFormat::read($document)[1]);
        $this->look($this->cove, $document)->assertSee('Nothing to import');
        $far = $this->harbour($pia = $this->person('Pia'));
        $this->actingAs($pia);
        $this->look($far, $document)
            ->assertSee('What the document would change')
            ->assertSee('!splinter')
            ->assertSee('Everything else')
            ->assertDontSee('!bell');
        $ids = $this->cove->commands()->pluck('stable_id')->all();
        $this->post(route('write.pack.import', $far), ['rest' => '1', 'changes' => $ids])
            ->assertRedirect(route('write', $far))
            ->assertSessionHas('notice', (Demo::commands() + 1).' changes imported.');
        [$here, $there] = [$this->pack($this->cove), $this->pack($far->refresh())];
        self::assertEquals($here->lists, $there->lists);
        self::assertEquals($here->counters, $there->counters);
        self::assertEquals($here->facts, $there->facts);
        self::assertEquals($here->command('!splinter'), $there->command('!splinter'));
        self::assertNotNull($there->command('!bell'), 'what is only there stays');
        $this->look($far, $document)->assertSee('Nothing to import');
    }

    public function test_only_what_is_chosen_is_taken_and_what_has_a_name_keeps_its_memory(): void
    {
        /** @var array{facts: list<array<string, string>>, commands: list<array<string, mixed>>} $document */
        $document = json_decode($this->exported($this->cove), true);
        $document['facts'][0]['text'] = 'Another text.';
        $document['facts'][0]['id'] = 'another-id';
        $document['commands'][0]['note'] = 'changed';
        $document['commands'][1]['note'] = 'changed too';
        $text = (string) json_encode($document);
        $was = $this->cove->facts()->orderBy('id')->firstOrFail();
        $this->look($this->cove, $text)->assertSee('<ins>Another text.</ins>', false)->assertSee('changed too');
        $first = $this->cove->commands()->orderBy('id')->firstOrFail();
        $this->post(route('write.pack.import', $this->cove), ['changes' => [$first->stable_id]]);
        self::assertSame('changed', $first->refresh()->note);
        self::assertSame($was->text, $was->refresh()->text);
        $this->post(route('write.pack.import', $this->cove), ['rest' => '1']);
        self::assertSame(['Another text.', $was->stable_id], [$was->refresh()->text, $was->stable_id]);
    }

    public function test_what_cannot_be_read_is_told_with_its_places_and_nothing_is_taken(): void
    {
        $wrong = ['format' => 'silver-parrot-pack', 'version' => 2, 'commands' => [['trigger' => 'two [words']]];
        $this->look($this->cove, (string) json_encode($wrong))
            ->assertSee('This document cannot be read')
            ->assertSee('/commands/0/trigger')
            ->assertSee('Enter a trigger, for example !tide.');
        $this->look($this->cove, 'nonsense: [')->assertSee('This document cannot be read');
        $this->post(route('write.pack', $this->cove), [])->assertSessionHasErrors('pack');
        $this->post(route('write.pack.import', $this->cove), ['rest' => '1'])->assertSessionHas(
            'notice',
            'The document waited too long. Choose it again; nothing was imported.',
        );
    }

    public function test_a_trigger_that_is_taken_stops_the_whole_import(): void
    {
        $document = ['format' => 'silver-parrot-pack', 'version' => 2, 'commands' => [
            ['id' => 'new-one', 'trigger' => '!gull', 'responses' => [['text' => 'Shoo.']]],
            ['id' => 'new-two', 'trigger' => '!tide', 'responses' => [['text' => 'Mine.']]],
        ]];
        $this->look($this->cove, (string) json_encode($document));
        $this->post(route('write.pack.import', $this->cove), ['changes' => ['new-one', 'new-two']])
            ->assertOk()
            ->assertSee('!tide is used by another command already. Nothing was imported.');
        self::assertSame(Demo::commands(), $this->cove->commands()->count());
    }

    public function test_what_the_two_together_have_no_room_for_is_not_imported(): void
    {
        $facts = array_map(
            static fn (int $number): array => ['id' => "many$number", 'name' => "many$number", 'text' => 'x'],
            range(1, PackFormat::DEFINITIONS),
        );
        $had = $this->cove->facts()->count();
        $this->look($this->cove, (string) json_encode(
            ['format' => 'silver-parrot-pack', 'version' => 2, 'facts' => $facts],
        ));
        $this->post(route('write.pack.import', $this->cove), ['rest' => '1'])
            ->assertOk()
            ->assertSee('Together they would not be a pack that can be read')
            ->assertSee('Nothing was imported.');
        self::assertSame($had, $this->cove->facts()->count());
    }

    private function exported(Channel $channel): string
    {
        return (string) $this->get(route('write.pack.export', $channel))
            ->assertOk()
            ->assertHeader('Content-Disposition', 'attachment; filename="lantern_cove.pack.json"')
            ->getContent();
    }

    private function look(Channel $channel, string $document): TestResponse
    {
        return $this->post(route('write.pack', $channel), [
            'pack' => UploadedFile::fake()->createWithContent('a.pack.json', $document),
        ])->assertOk();
    }

    private function pack(Channel $channel): \SilverParrot\Pack\Pack
    {
        return app(Assembler::class)->pack($channel);
    }
}
