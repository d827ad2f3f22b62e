<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPUnit\Framework\TestCase;
use Tests\Faults\Fault;

/**
 * The committed faults fit the sources as they are: two in each folder of the core, one in each of the application's,
 * each with its line in place.
 */
final class FaultsTest extends TestCase
{
    public function test_each_fault_has_its_line_and_each_folder_its_faults(): void
    {
        $project = dirname(__DIR__, 2);
        $folders = [];
        foreach (Fault::all() as $fault) {
            self::assertNotNull($fault->in($project), $fault->name());
            self::assertNotSame($fault->right, $fault->wrong);
            $folder = implode('/', array_slice(explode('/', $fault->file), 0, 2));
            $folders[$folder] = ($folders[$folder] ?? 0) + 1;
            self::assertTrue(
                $fault->noticedBy === ''
                    ? str_starts_with($fault->file, 'core/')
                    : file_exists("$project/{$fault->noticedBy}"),
                $fault->name(),
            );
        }
        self::assertGreaterThanOrEqual(80, array_sum($folders));
        foreach (['core' => 2, 'app' => 1] as $part => $least) {
            foreach (glob("$project/$part/*", GLOB_ONLYDIR) ?: [] as $folder) {
                // Rows and the command line hold no rules.
                if (! in_array(basename($folder), ['Models', 'Console'], true)) {
                    self::assertGreaterThanOrEqual(
                        $least,
                        $folders["$part/".basename($folder)] ?? 0,
                        basename($folder),
                    );
                }
            }
        }
    }
}
