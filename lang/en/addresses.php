<?php

declare(strict_types=1);

// Why a web address may not be asked; see core/Lookup/Address/AddressRefusal.
return [
    'too-long' => 'The address is too long.',
    'signs' => 'There are signs in it that no address has: spaces, or “\\”.',
    'not-web' => 'A web address begins with https:// or http://, and a host.',
    'user-info' => 'A user or password cannot stand in an address.',
    'host' => 'The host is no name and no number.',
    'spelling' => 'The number of the host is written in an unusual way.',
    'near' => 'The host is this machine, or in its own network.',
    'near-name' => 'The name only has a meaning on this machine or in its own network.',
    'leads-near' => 'The name leads to this machine, or into its own network.',
    'port' => 'Only the ports 80 and 443 can be asked.',
    'other-port' => 'What lives at that port is no web source.',
    'dots' => 'Steps like “..” cannot stand in an address.',
];
