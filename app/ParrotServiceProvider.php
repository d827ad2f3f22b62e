<?php

declare(strict_types=1);

namespace App;

use App\Accounts\ChannelPolicy;
use App\Models\Channel;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\ServiceProvider;

final class ParrotServiceProvider extends ServiceProvider
{
    public function boot(): void
    {
        // A forgotten relation, a misspelt attribute or a dropped value is an error, never a quiet surprise.
        Model::shouldBeStrict();
        Gate::policy(Channel::class, ChannelPolicy::class);
    }
}
