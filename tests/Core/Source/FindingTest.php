<?php

declare(strict_types=1);

namespace Tests\Core\Source;

use PHPUnit\Framework\TestCase;
use SilverParrot\Source\Finding;
use SilverParrot\Source\FindingKind;
use SilverParrot\Source\Severity;

final class FindingTest extends TestCase
{
    public function test_a_text_with_braces_keeps_its_mend(): void
    {
        $kind = $this->createStub(FindingKind::class);
        $kind->method('severity')->willReturn(Severity::Error);
        $kind->method('sentence')->willReturn('“{text}” is unknown.');
        $kind->method('mend')->willReturn('Did you mean “{nearest}”?');

        $finding = new Finding($kind, data: ['text' => '{nearest}', 'nearest' => '{name}']);
        self::assertSame('“{nearest}” is unknown.', $finding->sentence());
        self::assertSame('Did you mean “{name}”?', $finding->mend());
        self::assertSame('', (new Finding($kind, data: ['text' => '{nearest}']))->mend(), 'nothing was guessed');
    }
}
