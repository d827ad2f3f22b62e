<?php

declare(strict_types=1);

namespace Tests\Ground;

use Ground\Packages\Composer;
use Ground\Packages\Pins;
use PHPUnit\Framework\TestCase;

final class PinsTest extends TestCase
{
    public function test_what_is_installed_is_what_is_pinned(): void
    {
        $sandbox = Sandbox::make();
        [$code, $printed] = $sandbox->parrot(['pins']);
        $sandbox->remove();
        self::assertSame([0, "The packages are those of composer.pins.\n"], [$code, $printed]);
    }

    public function test_every_kind_of_difference_is_named(): void
    {
        $file = tempnam(sys_get_temp_dir(), 'pins');
        Pins::write((string) $file, ['a/a' => ['1.0.0', false], 'a/b' => ['2.0.0', true], 'a/c' => ['3.0.0', true]]);
        $pins = Pins::read((string) $file);
        self::assertSame(['a/a' => '1.0.0', 'a/b' => '2.0.0', 'a/c' => '3.0.0'], $pins->versions());
        $installed = ['a/b' => ['2.0.1', true], 'a/d' => ['4.0.0', false]];
        self::assertSame(
            [
                'a/a 1.0.0 is not installed',
                'a/b is 2.0.1, not 2.0.0',
                'a/c 3.0.0 is not installed',
                'a/d 4.0.0 has no pin',
            ],
            $pins->differences($installed, true),
        );
        self::assertSame(
            ['a/a 1.0.0 is not installed', 'a/b is 2.0.1, not 2.0.0', 'a/d 4.0.0 has no pin'],
            $pins->differences($installed, false),
        );
        unlink((string) $file);
    }

    public function test_for_a_version_that_is_gone_the_nearest_later_patch_of_its_minor_is_taken(): void
    {
        $offered = ['v2.0.0', 'v1.4.9', 'v1.4.12', 'v1.4.10', '1.4.x-dev', 'v1.5.0', 'v1.4.2'];
        self::assertSame('v1.4.9', Composer::nearest('v1.4.3', $offered));
        self::assertSame('v1.4.10', Composer::nearest('v1.4.10', $offered));
        self::assertNull(Composer::nearest('v1.4.13', $offered));
        self::assertNull(Composer::nearest('v3.0.0', $offered));
    }
}
