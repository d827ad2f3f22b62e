{{-- The way to a first command that answers. --}}
@php($user = auth()->user())
@if (App\Accounts\FirstStep::areShown($user) && $user->can('write', $channel))
    <div class="first-steps" id="first-steps">
        <p class="small">Silver Parrot answers your chat. You write what it says, try it in a simulated chat, and publish what works.</p>
        <ol>
            @foreach (App\Accounts\FirstStep::cases() as $step)
                <li @class(['is-taken' => $step->isTaken($user)])><a href="{{ $step->address($channel) }}">{{ $step->label() }}</a>@if ($step->isTaken($user))<span class="visually-hidden"> (done)</span>@endif</li>
            @endforeach
        </ol>
        <form method="post" action="{{ route('first-steps.dismiss') }}" class="inline">@csrf<button class="as-link small">Hide this</button></form>
    </div>
@endif
