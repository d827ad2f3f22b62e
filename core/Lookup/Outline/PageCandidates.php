<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Outline;

use DOMElement;
use DOMNode;
use DOMXPath;
use SilverParrot\Lookup\Paths\HtmlPaths;
use Throwable;

/** The candidates of a page: what stands where its reading stands, in each entry of a list or a table. */
final class PageCandidates
{
    /** Elements beside an entry that are looked at. */
    private const BESIDE = 200;

    /** Elements of an entry that are looked at for what tells it apart. */
    private const WITHIN = 100;

    /**
     * @param  string  $path  of the reading that takes one of them: "#ports > li:nth-of-type(2) > a @href", "td.number"
     * @return list<Candidate>
     */
    public static function in(string $body, string $path): array
    {
        $page = new DOMXPath(HtmlPaths::page($body));
        try {
            [$xpath, $attribute] = HtmlPaths::mustRead($path);
            $met = trim($path) === '' ? false : $page->query($xpath);
        } catch (Throwable) {
            return [];
        }
        $elements = [];
        foreach ($met === false ? [] : $met as $node) {
            if ($node instanceof DOMElement && count($elements) < self::BESIDE) {
                $elements[] = $node;
            }
        }
        $found = [];
        foreach (self::entries(count($elements) === 1 ? self::alike($elements[0]) : $elements) as [$entry, $element]) {
            $value = $attribute === '' ? Outlines::text($element) : trim($element->getAttribute($attribute));
            if ($value !== '' && count($found) < Candidates::MOST) {
                $found[] = new Candidate($value, self::tells($entry, $value));
            }
        }

        return $found;
    }

    /** @return list<DOMElement> what stands at the same place in those beside an entry around it; the most there are */
    private static function alike(DOMElement $one): array
    {
        $best = [$one];
        $way = [];
        for ($entry = $one; $entry->parentNode instanceof DOMElement; $entry = $entry->parentNode) {
            $alike = [];
            foreach (self::inside($entry->parentNode, $entry->nodeName) as $beside) {
                $there = self::follow($beside, $way);
                $alike = $there === null || count($alike) >= self::BESIDE ? $alike : [...$alike, $there];
            }
            // What stands beside each other in a row says different things of one and the same.
            $isColumn = in_array($entry->nodeName, ['td', 'th'], true);
            $best = ! $isColumn && count($alike) > count($best) ? $alike : $best;
            array_unshift($way, [
                $entry->nodeName,
                array_search($entry, self::inside($entry->parentNode, $entry->nodeName), true),
            ]);
        }

        return $best;
    }

    /** @return list<DOMElement> */
    private static function inside(DOMNode $node, string $tag): array
    {
        return array_values(array_filter(
            iterator_to_array($node->childNodes, false),
            static fn (DOMNode $one): bool => $one instanceof DOMElement && $one->nodeName === $tag,
        ));
    }

    /** @param  list<array{string, int|false}>  $way  tags, each with its number among those of the same tag */
    private static function follow(DOMElement $from, array $way): ?DOMElement
    {
        foreach ($way as [$tag, $number]) {
            $from = self::inside($from, $tag)[(int) $number] ?? null;
            if ($from === null) {
                return null;
            }
        }

        return $from;
    }

    /**
     * @param  list<DOMElement>  $elements
     * @return list<array{DOMElement, DOMElement}> each with the largest around it that holds no other
     */
    private static function entries(array $elements): array
    {
        if (count($elements) === 1) {
            $around = $elements[0]->parentNode;

            return [[$around instanceof DOMElement ? $around : $elements[0], $elements[0]]];
        }
        $holds = [];
        foreach ($elements as $element) {
            for ($around = $element; $around instanceof DOMElement; $around = $around->parentNode) {
                $path = (string) $around->getNodePath();
                $holds[$path] = ($holds[$path] ?? 0) + 1;
            }
        }
        $entries = [];
        foreach ($elements as $element) {
            $entry = $element;
            while (
                $entry->parentNode instanceof DOMElement
                && $holds[(string) $entry->parentNode->getNodePath()] === 1
            ) {
                $entry = $entry->parentNode;
            }
            $entries[] = [$entry, $element];
        }

        return $entries;
    }

    /** @return list<array{string, string}> what stands in an entry beside its value, as it is headed there */
    private static function tells(DOMElement $entry, string $value): array
    {
        $tells = [];
        $looked = 0;
        foreach ([$entry, ...iterator_to_array($entry->getElementsByTagName('*'), false)] as $element) {
            if (++$looked > self::WITHIN || count($tells) === Candidates::TELLS) {
                break;
            }
            $text = '';
            foreach ($element->childNodes as $child) {
                $text .= $child->nodeType === XML_TEXT_NODE ? $child->nodeValue : '';
            }
            $text = mb_substr(trim((string) preg_replace('/[\s\x{A0}]+/u', ' ', $text)), 0, Outlines::SHOWN);
            if ($text !== '' && $text !== $value && ! in_array($text, array_column($tells, 1), true)) {
                $tells[] = [self::head($element), $text];
            }
        }

        return $tells;
    }

    /** What heads a column of a table; nothing elsewhere. */
    private static function head(DOMElement $cell): string
    {
        $table = $cell;
        while ($table instanceof DOMElement && $table->nodeName !== 'table') {
            $table = $table->parentNode;
        }
        $row = $cell->parentNode;
        if ($cell->nodeName !== 'td' || ! $row instanceof DOMElement || ! $table instanceof DOMElement) {
            return '';
        }
        $place = array_search($cell, array_values(array_filter(
            iterator_to_array($row->childNodes, false),
            static fn (DOMNode $one): bool => $one instanceof DOMElement,
        )), true);
        foreach ($table->getElementsByTagName('tr') as $first) {
            $heads = self::inside($first, 'th');

            return isset($heads[(int) $place]) ? Outlines::text($heads[(int) $place]) : '';
        }

        return '';
    }
}
