<?php

declare(strict_types=1);

namespace App\Console;

use SilverParrot\Checks\CheckEnvironment;
use SilverParrot\Checks\Checks;
use SilverParrot\Source\Finding;
use SilverParrot\Value\Moment;

final class CheckCommand extends CoreCommand
{
    protected $signature = 'parrot:check
        {pack : a pack document}
        {--json : a report for machines}';

    protected $description = 'Say what is wrong with a pack, without running it';

    public function handle(): int
    {
        [$pack, $flaws] = $this->pack($this->argument('pack'));
        $findings = [...$flaws, ...Checks::of($pack, CheckEnvironment::at(Moment::of(now())))];
        if ($this->option('json') === true) {
            $this->json([
                'findings' => array_map(static fn (Finding $finding): array => $finding->toArray(), $findings),
            ]);
        } else {
            $this->tell($findings);
            $this->line($findings === [] ? 'Nothing is wrong with it.' : count($findings).' findings.');
        }

        return array_filter($findings, static fn (Finding $finding): bool => $finding->isError()) === []
            ? self::SUCCESS
            : self::FAILURE;
    }
}
