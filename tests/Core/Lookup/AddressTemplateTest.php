<?php

declare(strict_types=1);

namespace Tests\Core\Lookup;

use PHPUnit\Framework\TestCase;
use SilverParrot\Lookup\Address\AddressTemplate;
use SilverParrot\Lookup\Address\TemplateFlaw;
use SilverParrot\Lookup\Address\WebAddress;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\Parameters\OneOf;
use SilverParrot\Lookup\Parameters\Parameter;
use SilverParrot\Lookup\Parameters\PlainParts;
use SilverParrot\Lookup\Parameters\WholeNumber;
use Tests\Outside;

final class AddressTemplateTest extends TestCase
{
    private const SUITE = 'uri-templates/test/uritemplate-test/';

    /** The test suite of RFC 6570 (npm uri-templates, test/uritemplate-test, Apache-2.0). */
    public function test_addresses_are_filled_in_as_rfc_6570_has_it(): void
    {
        $cases = 0;
        foreach (['spec-examples', 'spec-examples-by-section', 'extended-tests'] as $file) {
            /**
             * @var array<string, array{variables: array<string, mixed>, testcases: list<array{string, mixed}>}>
             *     $groups
             */
            $groups = json_decode(implode("\n", Outside::lines(self::SUITE."$file.json")), true);
            foreach ($groups as $group) {
                foreach ($group['testcases'] as [$template, $expected]) {
                    // @phpstan-ignore argument.type (the suite’s lists and maps too)
                    $filled = (new AddressTemplate($template))->filled($group['variables']);
                    self::assertContains($filled, (array) $expected, $template);
                    $cases++;
                }
            }
        }
        self::assertSame(203, $cases);
    }

    /** What the suite calls no template is told while it is typed. */
    public function test_what_is_no_template_is_told(): void
    {
        /** @var array<string, array{testcases: list<array{string, mixed}>}> $groups */
        $groups = json_decode(implode("\n", Outside::lines(self::SUITE.'negative-tests.json')), true);
        $passed = [];
        foreach ($groups as $group) {
            foreach ($group['testcases'] as [$template]) {
                if ((new AddressTemplate("https://tides.example/$template"))->flaw() === null) {
                    $passed[] = $template;
                }
            }
        }
        // The first letters of a map make no sense, and the values of parameters are texts.
        self::assertSame(['{keys:1}', '{+keys:1}'], $passed);
    }

    public function test_what_people_type_never_decides_who_is_asked(): void
    {
        foreach (
            [
                'https://{host}/a',
                'https://tides.example{port}',
                '{scheme}://tides.example/',
                'https://tides{.sub}.example/',
                'https://{+host}',
                'https://tides.example:{port}/',
            ] as $template
        ) {
            self::assertSame(TemplateFlaw::Host, (new AddressTemplate($template))->flaw(), $template);
        }
        $hostile = [
            ...Outside::hostileStrings(),
            '..', '../..', '%2e%2e', '@evil.org', ':8080', '/..//x', '?a=b', '#', "\r\nHost: x", '\\', '//evil.org',
        ];
        foreach (
            ['https://tides.org/{a}/high{?b}', 'https://tides.org{/a}{?b}', 'https://tides.org{?a,b}{#a}'] as $one
        ) {
            $template = new AddressTemplate($one);
            self::assertNull($template->flaw());
            foreach ($hostile as $value) {
                $address = WebAddress::of($template->filled(['a' => mb_scrub($value), 'b' => mb_scrub($value)]));
                if ($address instanceof WebAddress) {
                    self::assertSame(['https', 'tides.org', 443], [$address->scheme, $address->host, $address->port]);
                    self::assertSame([], array_intersect(['.', '..'], explode('/', explode('?', $address->path)[0])));
                }
            }
        }
    }

    public function test_a_parameter_is_what_it_may_be(): void
    {
        $lookup = new Lookup('tide', 'https://tides.org/{port}{?days,code}', [
            new Parameter('port', new OneOf(['Porth', 'Tregarn']), 'porth'),
            new Parameter('days', new WholeNumber(1, 7)),
            new Parameter('code', new PlainParts([
                ['kind' => 'letters', 'least' => 2, 'most' => 3],
                ['kind' => 'text', 'text' => '-'],
                ['kind' => 'digits', 'least' => 1, 'most' => 4],
            ])),
        ]);
        $address = static fn (array $typed): string => is_string($made = $lookup->addressWith($typed))
            ? $made
            : "not {$made->name}";
        self::assertSame('https://tides.org/Porth', $address([]));
        self::assertSame('https://tides.org/Tregarn?days=7', $address(['port' => ' TREGARN ', 'days' => '７']));
        self::assertSame('not port', $address(['port' => 'Porth/../x']));
        self::assertSame('not days', $address(['days' => '8']));
        self::assertSame('not days', $address(['days' => '1e1']));
        self::assertSame('https://tides.org/Porth?code=SW-0142', $address(['code' => 'SW-0142']));
        self::assertSame('not code', $address(['code' => 'SW–0142']));
    }
}
