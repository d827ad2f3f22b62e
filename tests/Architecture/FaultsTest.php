<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPUnit\Framework\TestCase;
use Tests\Faults\Fault;

/** The committed faults fit the core as it is: at least forty, two in each of its folders, each with its line in place. */
final class FaultsTest extends TestCase
{
    public function test_each_fault_has_its_line_and_each_folder_its_faults(): void
    {
        $project = dirname(__DIR__, 2);
        $folders = [];
        foreach (Fault::all() as $fault) {
            self::assertNotNull($fault->in($project), $fault->name());
            self::assertNotSame($fault->right, $fault->wrong);
            $folder = explode('/', $fault->file)[1];
            $folders[$folder] = ($folders[$folder] ?? 0) + 1;
        }
        self::assertGreaterThanOrEqual(40, array_sum($folders));
        foreach (glob("$project/core/*", GLOB_ONLYDIR) ?: [] as $folder) {
            self::assertGreaterThanOrEqual(2, $folders[basename($folder)] ?? 0, basename($folder));
        }
    }
}
