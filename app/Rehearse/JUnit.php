<?php

declare(strict_types=1);

namespace App\Rehearse;

use DOMDocument;
use SilverParrot\Rehearsal\Scripts\Checked;
use SilverParrot\Rehearsal\Scripts\ScriptResult;
use SilverParrot\Source\Wording;

/** Scripts as test suites, in the form that is commonly read (JUnit XML; common practice, no standard). */
final class JUnit
{
    private const NO_XML = '/[^\x{9}\x{A}\x{D}\x{20}-\x{D7FF}\x{E000}-\x{FFFD}\x{10000}-\x{10FFFF}]/u';

    /** @param  list<ScriptResult>  $results */
    public static function of(array $results, Wording $wording): string
    {
        $document = new DOMDocument('1.0', 'UTF-8');
        $document->formatOutput = true;
        $suites = $document->createElement('testsuites');
        $document->appendChild($suites);
        foreach ($results as $result) {
            $suite = $document->createElement('testsuite');
            $suite->setAttribute('name', self::text($result->script->title));
            $suite->setAttribute('tests', (string) count($result->checked));
            $suite->setAttribute('failures', (string) count(array_filter(
                $result->checked,
                static fn (Checked $one): bool => ! $one->holds(),
            )));
            foreach ($result->checked as $one) {
                $case = $document->createElement('testcase');
                $place = $one->part === null ? 'all of it' : '+'.intdiv($one->millis, 1000).'s';
                $case->setAttribute('name', "$place {$one->expected::key()}");
                $case->setAttribute('classname', self::text($result->script->title));
                if ($one->unmet !== null) {
                    $failure = $document->createElement('failure');
                    $failure->setAttribute('message', self::text($wording->of($one->unmet)));
                    $failure->appendChild($document->createTextNode(self::text(implode("\n", $one->said))));
                    $case->appendChild($failure);
                }
                $suite->appendChild($case);
            }
            $suites->appendChild($suite);
        }

        return (string) $document->saveXML();
    }

    /** Without what XML 1.0 cannot hold (2.2). */
    private static function text(string $text): string
    {
        return preg_replace(self::NO_XML, '', $text) ?? '';
    }
}
