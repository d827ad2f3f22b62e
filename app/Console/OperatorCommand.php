<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\User;
use Illuminate\Console\Command;
use Illuminate\Support\Str;
use Symfony\Component\Console\Formatter\OutputFormatter;

/**
 * Operators command what is for all channels: the pace and the troubles of the harbour. Nobody becomes one from a page.
 */
final class OperatorCommand extends Command
{
    protected $signature = 'parrot:operator {email} {--off : they are no operator any more}';

    protected $description = 'Make somebody an operator, who commands what is for all channels';

    public function handle(): int
    {
        $email = Str::lower((string) $this->argument('email'));
        $user = User::query()->where('email', $email)->first();
        if ($user === null) {
            $this->error(OutputFormatter::escape("Nobody here has the address {$email}."));

            return self::FAILURE;
        }
        $user->forceFill(['is_operator' => ! $this->option('off')])->save();
        $this->info(
            OutputFormatter::escape($user->name)
                .' is '
                .($this->option('off') ? 'no operator any more.' : 'an operator.'),
        );

        return self::SUCCESS;
    }
}
