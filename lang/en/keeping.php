<?php

declare(strict_types=1);

// Why what a rehearsal has changed cannot be kept; see LastingChanges.
return [
    'changed-meanwhile' => ':what is another now than the rehearsal began with. Nothing was kept; start over.',
    'not-that-much' => ':who has not that much of it in the real chat. Nothing was kept.',
];
