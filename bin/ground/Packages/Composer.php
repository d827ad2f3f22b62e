<?php

declare(strict_types=1);

namespace Ground\Packages;

use Ground\Paths;
use Ground\Shell;
use Ground\Terminal;
use Ground\Trouble;

/**
 * The PHP packages, at exactly the versions in composer.pins. A lock file would name the registry that wrote it, so
 * the versions stand in a file of our own and are handed to Composer as constraints.
 */
final readonly class Composer
{
    /** Each round may find one more pin that the registry no longer has. */
    private const ROUNDS = 8;

    public function __construct(private Paths $paths, private Terminal $terminal)
    {
    }

    public function install(bool $withTools, bool $exact = false): void
    {
        $pins = Pins::read($this->paths->project.'/composer.pins');
        if (
            $pins->differences($this->installed(), $withTools) === []
            && is_file($this->paths->project.'/vendor/autoload.php')
        ) {
            $this->renewAutoloader();

            return;
        }
        if (Shell::find('composer') === null) {
            throw Trouble::installFailed(
                'Composer packages (the program “composer” is not there: apt-get install composer)',
                $this->paths->log('packages.log'),
            );
        }
        $this->terminal->say('Installing Composer packages at the versions in composer.pins …');
        $this->resolve($pins->versions(), $withTools, $exact);
        // Some packages arrive unreadable to other users, a web server's among them.
        Shell::run(['chmod', '-R', 'a+rX', $this->paths->project.'/vendor']);
        $differences = $pins->differences($this->installed(), $withTools);
        if ($differences !== [] && $exact) {
            throw Trouble::pinsDiffer($differences);
        }
        foreach ($differences as $difference) {
            $this->terminal->say("  differs from composer.pins: $difference");
        }
    }

    /** The folders in which classes are looked for may have changed, while no package has. */
    private function renewAutoloader(): void
    {
        $made = "{$this->paths->project}/vendor/composer/autoload_psr4.php";
        if (
            (int) @filemtime($made) < (int) filemtime("{$this->paths->project}/composer.json")
            && Shell::find('composer') !== null
        ) {
            Shell::run(['composer', 'dump-autoload', '--quiet', '--no-interaction'], $this->paths->project);
        }
    }

    /** @return array<string, array{string, bool}> name => version, whether it is a tool of development only */
    public function installed(): array
    {
        $file = $this->paths->project.'/vendor/composer/installed.json';
        /** @var array{packages?: list<array{name: string, version: string}>, dev-package-names?: list<string>} $read */
        $read = is_file($file) ? (json_decode((string) file_get_contents($file), true) ?? []) : [];
        $installed = [];
        foreach ($read['packages'] ?? [] as $package) {
            $installed[$package['name']] = [
                $package['version'],
                in_array($package['name'], $read['dev-package-names'] ?? [], true),
            ];
        }
        ksort($installed);

        return $installed;
    }

    /** @param  array<string, string>  $versions */
    public function resolve(array $versions, bool $withTools, bool $exact): void
    {
        $log = $this->paths->log('packages.log');
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $with = [];
            foreach ($versions as $name => $version) {
                array_push($with, '--with', "$name:$version");
            }
            $folder = $this->paths->project;
            [$code, $printed] = Shell::run(
                [
                    'composer',
                    'update',
                    '--no-interaction',
                    '--no-progress',
                    '--no-audit',
                    ...$withTools ? [] : ['--no-dev'],
                    ...$with,
                ],
                $folder,
                ['COMPOSER_ALLOW_SUPERUSER' => '1'],
                $log,
            );
            if ($code === 0) {
                return;
            }
            $mended = $exact ? $versions : $this->withoutVanished($versions, $printed);
            if ($mended === $versions) {
                break;
            }
            $versions = $mended;
        }

        throw Trouble::installFailed('Composer packages', $log);
    }

    /**
     * The registry keeps only some versions. For a pin that has gone, the nearest later patch of the same minor is
     * taken.
     *
     * @param  array<string, string>  $versions
     * @return array<string, string>
     */
    private function withoutVanished(array $versions, string $printed): array
    {
        foreach ($versions as $name => $version) {
            if (! str_contains($printed, $name)) {
                continue;
            }
            [, $json] = Shell::run(
                ['composer', 'show', '--all', '--format=json', '--no-interaction', $name],
                $this->paths->project,
            );
            $start = strpos($json, '{');
            /** @var array{versions?: list<string>} $shown */
            $shown = $start === false ? [] : (json_decode(substr($json, $start), true) ?? []);
            $nearest = self::nearest($version, $shown['versions'] ?? []);
            if ($nearest !== null && $nearest !== $version) {
                $this->terminal->say("  $name $version is no longer to be had; taking $nearest");
                $versions[$name] = $nearest;
            }
        }

        return $versions;
    }

    /** @param  list<string>  $offered */
    public static function nearest(string $version, array $offered): ?string
    {
        $minor = implode('.', array_slice(explode('.', ltrim($version, 'v')), 0, 2)).'.';
        $later = array_values(
            array_filter(
                $offered,
                static fn (string $one): bool => str_starts_with(ltrim($one, 'v'), $minor)
                    && version_compare(ltrim($one, 'v'), ltrim($version, 'v'), '>=')
                    && preg_match('/^v?[0-9.]+$/D', $one) === 1,
            ),
        );
        usort($later, static fn (string $a, string $b): int => version_compare(ltrim($a, 'v'), ltrim($b, 'v')));

        return $later[0] ?? null;
    }
}
