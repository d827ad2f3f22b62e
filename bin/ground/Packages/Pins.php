<?php

declare(strict_types=1);

namespace Ground\Packages;

use Ground\Disk;

/** composer.pins: a line a package, “name version”, with “tool” behind it when only development needs it. */
final readonly class Pins
{
    /** @param  array<string, array{string, bool}>  $pins name => version, tool or not */
    private function __construct(private array $pins)
    {
    }

    public static function read(string $file): self
    {
        $pins = [];
        foreach (is_file($file) ? (file($file, FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: []) : [] as $line) {
            if ($line[0] !== '#') {
                $parts = explode(' ', $line);
                $pins[$parts[0]] = [$parts[1] ?? '*', ($parts[2] ?? '') === 'tool'];
            }
        }

        return new self($pins);
    }

    /** @param  array<string, array{string, bool}>  $installed */
    public static function write(string $file, array $installed): void
    {
        $lines = [
            '# Every PHP package, direct and indirect, at its exact version. Written by: bin/parrot pins --renew',
        ];
        foreach ($installed as $name => [$version, $tool]) {
            $lines[] = "$name $version".($tool ? ' tool' : '');
        }
        Disk::write($file, implode("\n", $lines)."\n", 0o644);
    }

    /** @return array<string, string> */
    public function versions(): array
    {
        return array_map(static fn (array $pin): string => $pin[0], $this->pins);
    }

    /**
     * @param  array<string, array{string, bool}>  $installed
     * @return list<string>
     */
    public function differences(array $installed, bool $withTools): array
    {
        $differences = [];
        foreach ($this->pins as $name => [$version, $tool]) {
            if (($withTools || ! $tool) && ! isset($installed[$name])) {
                $differences[] = "$name $version is not installed";
            } elseif (isset($installed[$name]) && $installed[$name][0] !== $version) {
                $differences[] = "$name is {$installed[$name][0]}, not $version";
            }
        }
        foreach (array_diff_key($installed, $this->pins) as $name => [$version]) {
            $differences[] = "$name $version has no pin";
        }

        return $differences;
    }
}
