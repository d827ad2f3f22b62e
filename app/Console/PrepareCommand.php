<?php

declare(strict_types=1);

namespace App\Console;

use App\Accounts\SignInLinks;
use App\Models\User;
use Database\Seeders\DemoSeeder;
use Illuminate\Console\Command;

/** The application's part of `bin/parrot up`. */
final class PrepareCommand extends Command
{
    protected $signature = 'parrot:prepare';

    protected $description = 'Bring the tables up to date, fill the demo at the first start, print a one-time sign-in '
        .'link';

    public function handle(SignInLinks $links): int
    {
        $this->callSilently('migrate', ['--force' => true]);
        if (User::query()->doesntExist()) {
            $this->callSilently('db:seed', ['--class' => DemoSeeder::class, '--force' => true]);
            $this->line('The demo channel, Lantern Cove, is ready.');
        }
        $owner = User::query()->orderBy('id')->firstOrFail();
        // Whoever starts it may command what is for all channels.
        if (! $owner->is_operator) {
            $owner->forceFill(['is_operator' => true])->save();
        }
        $this->line('Silver Parrot is at '.url('/'));
        $this->line('Sign in once, within 30 minutes, with '.$links->issue($owner));

        return self::SUCCESS;
    }
}
