<?php

declare(strict_types=1);

namespace App\Publish;

use App\Models\Channel;
use App\Storage\Assembler;
use App\Write\Findings;
use SilverParrot\Format\Differences;
use SilverParrot\Format\PackFormat;

/** Looks at what stands between the draft and the air. What takes long is kept, and done some at a time. */
final readonly class PublishPreviews
{
    public function __construct(
        private Assembler $assembler,
        private Editions $editions,
        private Findings $findings,
        private KeptExpectationResults $holdings,
    ) {
    }

    public function at(Channel $channel): PublishPreview
    {
        // Read once: somebody may save or drop a command meanwhile, and no finding is to stand under another's name.
        $commands = $this->assembler->commands($channel);
        $draft = $this->assembler->documentOf($channel, $commands);
        $air = $this->editions->onAir($channel, asPublished: true);
        [$broken, $expectations, $left] = $this->holdings->broken($channel, $draft, PackFormat::write($draft));

        return new PublishPreview(
            $draft,
            $air,
            $this->findings->in($channel, $draft->withCommands([]), $commands),
            $broken,
            $expectations,
            $left,
            Differences::between($air, $draft),
        );
    }
}
