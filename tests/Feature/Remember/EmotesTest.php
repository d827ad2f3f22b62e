<?php

declare(strict_types=1);

namespace Tests\Feature\Remember;

use App\Models\EmoteRow;
use App\Storage\Assembler;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use SilverParrot\Pack\Emote as CoreEmote;
use Tests\Feature\TestCase;

final class EmotesTest extends TestCase
{
    private const PIXELS = "\x89PNG\r\n\x1A\nany pixels";

    public function test_an_emote_is_added_shown_and_dropped(): void
    {
        $this->actingAs($this->wren);
        $this->add(
            'coveBell',
            UploadedFile::fake()->createWithContent('bell.png', self::PIXELS),
            'subscriber',
        )->assertSessionHas('notice', 'coveBell is an emote now.');
        $emote = $this->cove->emotes()->where('word', 'coveBell')->firstOrFail();
        self::assertSame('data:image/png;base64,'.base64_encode(self::PIXELS), $emote->picture);
        $core = array_values(
            array_filter(
                app(Assembler::class)->names($this->cove->refresh())->emotes,
                static fn (CoreEmote $one): bool => $one->word === 'coveBell',
            ),
        )[0];
        self::assertSame('subscribers', $core->levels->inWords());
        $this->get(route('remember', $this->cove))
            ->assertSee('coveBell')
            ->assertSee('for subscribers')
            ->assertSee(route('remember.emotes.picture', [$this->cove, $emote]))
            ->assertDontSee('data:image', false);
        $this->get(route('write.reference', $this->cove))->assertJsonFragment([
            'heading' => 'Emotes',
            'insert' => 'coveBell',
            'picture' => route('remember.emotes.picture', [$this->cove, $emote]),
        ]);
        $picture = $this->get(route('remember.emotes.picture', [$this->cove, $emote]))
            ->assertOk()
            ->assertHeader('Content-Type', 'image/png')
            ->assertHeader('X-Content-Type-Options', 'nosniff');
        self::assertSame(self::PIXELS, $picture->getContent());
        $this->add('coveBell')->assertSessionHasErrors(['word' => 'coveBell is an emote here already.']);
        $this->add('covebell')->assertSessionHas('notice', 'covebell is an emote now.');
        $this->delete(route('remember.emotes.drop', [$this->cove, $emote]))->assertSessionHas(
            'notice',
            'coveBell is no emote any more.',
        );
        self::assertSame(0, $this->cove->emotes()->where('word', 'coveBell')->count());
    }

    public function test_two_clicks_at_the_same_moment_make_one_emote_and_keep_what_was_typed(): void
    {
        EmoteRow::creating(function (EmoteRow $emote): void {
            DB::table('emotes')->insert([
                'channel_id' => $this->cove->id,
                'stable_id' => $emote->word,
                'word' => $emote->word,
                'picture' => '',
                'any_of' => '[]',
            ]);
        });
        $this->actingAs($this->wren);
        $this->add('coveBell')
            ->assertSessionHas(
                'notice',
                'That was just made, by you or by somebody else. Look at what is there now, and try again.',
            )
            ->assertSessionHasInput('word', 'coveBell');
        // The other one's row was written on this test's own connection, and goes back with what was tried.
        self::assertSame(0, $this->cove->emotes()->where('word', 'coveBell')->count());
        $this->actingAs($this->wren)
            ->postJson(route('remember.emotes', $this->cove), ['word' => 'coveKettle', 'level' => 'everyone'])
            ->assertConflict();
    }

    public function test_what_is_no_picture_or_no_word_is_refused_with_what_would_do(): void
    {
        $this->actingAs($this->wren);
        $before = $this->cove->emotes()->count();
        foreach (
            [
                UploadedFile::fake()->createWithContent('bell.png', '<svg onload="alert(1)"/>'),
                UploadedFile::fake()->createWithContent('big.png', self::PIXELS.str_repeat('x', 60_000)),
            ] as $file
        ) {
            $this->add('coveBell', $file)
                ->assertSessionHasErrors([
                    'picture' => 'The picture was not taken: a PNG, GIF or WebP of at most 48 kB is.',
                ])
                ->assertSessionHasInput('word', 'coveBell');
        }
        $this->followingRedirects()
            ->add('<b>x</b>')
            ->assertSee('An emote’s word has two to forty letters')
            ->assertSee('aria-describedby="word-problem"', false)
            ->assertSee('value="&lt;b&gt;x&lt;/b&gt;"', false);
        self::assertSame($before, $this->cove->emotes()->count());
    }

    public function test_pictures_have_room_together_so_that_the_pack_stays_one_that_can_be_read(): void
    {
        $this->actingAs($this->wren);
        $big = UploadedFile::fake()->createWithContent('bell.png', self::PIXELS.str_repeat('x', 48_000));
        for ($i = 0; $i < 15; $i++) {
            $this->add("coveBell$i", $big)->assertSessionHas('notice', "coveBell$i is an emote now.");
        }
        $this->add('coveBell15', $big)->assertSessionHasErrors([
            'picture' => 'There is no more room for emotes: delete one first, or use smaller pictures.',
        ]);
        $this->add('coveSmall')->assertSessionHas('notice', 'coveSmall is an emote now.');
        self::assertLessThan(
            \SilverParrot\Source\Limits::PACK,
            strlen(\SilverParrot\Format\PackFormat::write(app(Assembler::class)->document($this->cove->refresh()))),
        );
    }

    public function test_nobody_touches_the_emotes_of_another_channel(): void
    {
        $far = $this->harbour($this->wren);
        $foreign = EmoteRow::factory()->for($far)->create();
        $this->actingAs($this->wren)->delete(route('remember.emotes.drop', [$this->cove, $foreign]))->assertNotFound();
        self::assertTrue($foreign->refresh()->exists);
    }

    /** @return TestResponse<\Illuminate\Http\Response> */
    private function add(string $word, ?UploadedFile $picture = null, string $level = 'everyone'): TestResponse
    {
        return $this->from(route('remember', $this->cove))->post(
            route('remember.emotes', $this->cove),
            array_filter(['word' => $word, 'picture' => $picture, 'level' => $level]),
        );
    }
}
