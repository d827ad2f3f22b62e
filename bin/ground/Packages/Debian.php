<?php

declare(strict_types=1);

namespace Ground\Packages;

use Ground\Paths;
use Ground\Shell;
use Ground\Terminal;
use Ground\Trouble;

/** The system packages that Silver Parrot stands on. */
final readonly class Debian
{
    public const TO_RUN = [
        'mariadb-server',
        'php8.2-curl',
        'php8.2-intl',
        'php8.2-mbstring',
        'php8.2-mysql',
        'php8.2-xml',
        'php8.2-zip',
        'unzip',
    ];

    public const TO_TEST = [
        ...self::TO_RUN,
        'chromium',
        'chromium-driver',
        'faketime',
        'ii',
        'ngircd',
        'nodejs',
        'npm',
        'unicode-data',
    ];

    /** A package is not asked for where its program is there already by another road. */
    private const PROGRAM = ['nodejs' => 'node', 'npm' => 'npm', 'unzip' => 'unzip'];

    public function __construct(private Paths $paths, private Terminal $terminal)
    {
    }

    /** @param  list<string>  $wanted */
    public function install(array $wanted, bool $withoutAsking): void
    {
        $missing = $this->missing($wanted);
        if ($missing === []) {
            return;
        }
        $apt = $this->withRights($missing);
        $this->terminal->say('System packages to install: '.implode(' ', $missing));
        if (! $withoutAsking && $this->terminal->asksPeople() && ! $this->terminal->agrees('Install them now?')) {
            throw Trouble::declined($missing);
        }
        $log = $this->paths->log('packages.log');
        Shell::run([...$apt, '-o', 'DPkg::Lock::Timeout=300', 'update'], log: $log);
        [$code] = Shell::run(
            [...$apt, '-o', 'DPkg::Lock::Timeout=300', 'install', '-y', '--no-install-recommends', ...$missing],
            environment: ['DEBIAN_FRONTEND' => 'noninteractive'],
            log: $log,
        );
        $still = $this->missing($missing);
        if ($code !== 0 || $still !== []) {
            throw Trouble::installFailed(implode(' ', $still === [] ? $missing : $still), $log);
        }
    }

    /**
     * @param  list<string>  $wanted
     * @return list<string>
     */
    private function missing(array $wanted): array
    {
        if (Shell::find('dpkg-query') === null) {
            throw Trouble::notDebian();
        }
        [, $printed] = Shell::run(['dpkg-query', '-W', '-f=${Package} ${db:Status-Status}\n', ...$wanted]);
        $there = [];
        foreach (explode("\n", $printed) as $line) {
            if (str_ends_with($line, ' installed')) {
                $there[] = explode(' ', $line)[0];
            }
        }

        return array_values(
            array_filter(
                array_diff($wanted, $there),
                static fn (string $package): bool => ! isset(self::PROGRAM[$package])
                    || Shell::find(self::PROGRAM[$package]) === null,
            ),
        );
    }

    /**
     * @param  list<string>  $missing
     * @return list<string> apt-get, with sudo before it where that is needed
     */
    private function withRights(array $missing): array
    {
        if (posix_geteuid() === 0) {
            return ['apt-get'];
        }
        if (
            Shell::find('sudo') !== null
            && ($this->terminal->asksPeople() || Shell::run(['sudo', '-n', 'true'])[0] === 0)
        ) {
            return ['sudo', 'apt-get'];
        }

        throw Trouble::noRights($missing);
    }
}
