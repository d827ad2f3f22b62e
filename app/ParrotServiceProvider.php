<?php

declare(strict_types=1);

namespace App;

use App\Accounts\ChannelPolicy;
use App\Border\RateLimits;
use App\Models\Channel;
use App\Models\User;
use App\Wording\Sentences;
use Illuminate\Auth\Notifications\ResetPassword;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Blade;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\ServiceProvider;
use SilverParrot\Source\Wording;

final class ParrotServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(Sentences::class);
        $this->app->alias(Sentences::class, Wording::class);
    }

    public function boot(): void
    {
        // A forgotten relation, a misspelt attribute or a dropped value is an error, never a quiet surprise.
        Model::shouldBeStrict();
        Gate::policy(Channel::class, ChannelPolicy::class);
        RateLimits::register();
        // What the core tells by codes and data, in words.
        Blade::directive(
            'told',
            static fn (string $message): string => "<?php echo e(app('".Sentences::class."')->of($message)); ?>",
        );
        // A mail is read elsewhere: its links lead to the address that was set up, whatever a request called it.
        ResetPassword::createUrlUsing(
            static fn (mixed $user, string $token): string => rtrim(config()->string('app.url'), '/')
                .route(
                    'password.reset',
                    ['token' => $token, 'email' => $user instanceof User ? $user->email : ''],
                    false,
                ),
        );
    }
}
