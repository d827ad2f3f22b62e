<?php

declare(strict_types=1);

namespace App\Remember\Lookups;

use App\Models\Channel;
use App\Web\LookAtAddresses;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Whether addresses in responses are looked at, whosever they are; and that it is done now. */
final readonly class AddressesController
{
    public function __invoke(Request $request, Channel $channel): RedirectResponse
    {
        $channel->update(['looks_at_addresses' => $request->boolean('all')]);
        LookAtAddresses::dispatch($channel->id);

        return back()->with('notice', 'The addresses that are due are being looked at.');
    }
}
