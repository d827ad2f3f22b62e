<?php

declare(strict_types=1);

namespace Tests\Feature\Accounts;

use App\Models\Role;
use Tests\Feature\TestCase;

final class MembersTest extends TestCase
{
    public function test_the_streamer_lets_people_in_and_out_again(): void
    {
        $odo = $this->person('Odo');
        $this->actingAs($this->wren)->post(route('members.store', $this->cove), ['email' => $odo->email, 'role' => 'author'])->assertSessionHasNoErrors();
        self::assertSame(Role::Author, $odo->roleIn($this->cove));
        $this->post(route('members.store', $this->cove), ['email' => $odo->email, 'role' => 'reader']);
        self::assertSame(Role::Reader, $odo->roleIn($this->cove));
        $this->delete(route('members.destroy', [$this->cove, $odo->memberships()->firstOrFail()]));
        self::assertNull($odo->roleIn($this->cove));
        $this->actingAs($odo)->get(route('write', $this->cove))->assertNotFound();
    }

    public function test_nobody_becomes_a_second_streamer_and_the_streamer_stays(): void
    {
        $odo = $this->person('Odo');
        $this->actingAs($this->wren)->post(route('members.store', $this->cove), ['email' => $odo->email, 'role' => 'streamer'])->assertSessionHasErrors('role');
        $this->post(route('members.store', $this->cove), ['email' => 'nobody@x.example', 'role' => 'author'])->assertSessionHasErrors('email');
        $this->post(route('members.store', $this->cove), ['email' => $this->wren->email, 'role' => 'reader'])->assertSessionHasErrors('email');
        $this->delete(route('members.destroy', [$this->cove, $this->wren->memberships()->firstOrFail()]));
        self::assertSame(Role::Streamer, $this->wren->roleIn($this->cove));
    }
}
