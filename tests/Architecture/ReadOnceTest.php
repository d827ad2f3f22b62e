<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPUnit\Framework\TestCase;

/**
 * A text is read by Prepared and by nobody else, so that one who asks has it read once for all that is done with it.
 */
final class ReadOnceTest extends TestCase
{
    public function test_nobody_reads_a_text_past_what_was_read_already(): void
    {
        $reading = [];
        foreach (['core', 'app'] as $folder) {
            /** @var \SplFileInfo $file */
            foreach (
                new \RecursiveIteratorIterator(
                    new \RecursiveDirectoryIterator(dirname(__DIR__, 2)."/$folder", \FilesystemIterator::SKIP_DOTS),
                ) as $file
            ) {
                if (
                    preg_match('/(?<![A-Za-z])Response::of\(/', (string) file_get_contents($file->getPathname())) === 1
                ) {
                    $reading[] = $file->getFilename();
                }
            }
        }
        self::assertSame(['ResponseCache.php'], $reading);
    }
}
