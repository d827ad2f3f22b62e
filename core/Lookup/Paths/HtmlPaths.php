<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Paths;

use DOMDocument;
use DOMElement;
use Symfony\Component\CssSelector\CssSelectorConverter;
use Symfony\Component\CssSelector\Exception\SyntaxErrorException;
use Symfony\Component\DomCrawler\Crawler;
use Throwable;

/** Texts of a page, found by CSS selectors: "table.tides td:nth-child(2)", "a.more @href". */
final readonly class HtmlPaths implements Paths
{
    private Crawler $page;

    public function __construct(string $body)
    {
        $this->page = new Crawler(self::page($body));
    }

    public static function page(string $body): DOMDocument
    {
        $page = new Crawler;
        $page->addHtmlContent($body);
        $document = $page->getNode(0)?->ownerDocument;

        return $document instanceof DOMDocument ? $document : new DOMDocument;
    }

    public function at(string $path): array
    {
        [$xpath, $attribute] = self::mustRead($path);
        try {
            $found = $this->page->filterXPath($xpath);
        } catch (Throwable) {
            throw new BadPath('it cannot be read');
        }
        $all = [];
        foreach ($found as $node) {
            if (count($all) === self::MOST) {
                break;
            }
            $text = $node instanceof DOMElement && $attribute !== ''
                ? $node->getAttribute($attribute)
                : self::textOf($node);
            $text = trim((string) preg_replace('/[\s\x{A0}]+/u', ' ', $text));
            $all[] = $text === '' ? Found::nothing() : Found::text($text);
        }

        return $all;
    }

    /**
     * @return array{string, string} the same in XPath, and the attribute that is taken; empty for the text
     *
     * @throws BadPath
     */
    public static function mustRead(string $path): array
    {
        [$selector, $attribute] = preg_match('/^(.*\S)\s+@([\w:.-]+)$/sD', $path, $part) === 1
            ? [$part[1], strtolower($part[2])]
            : [$path, ''];
        try {
            return [(new CssSelectorConverter)->toXPath($selector), $attribute];
        } catch (SyntaxErrorException $wrong) {
            throw new BadPath('it stops making sense', self::place($wrong));
        } catch (Throwable) {
            throw new BadPath('it cannot be read');
        }
    }

    /** What a reader of the page would see of it. */
    private static function textOf(\DOMNode $node): string
    {
        if (in_array($node->nodeName, ['script', 'style', 'template', '#comment'], true)) {
            return '';
        }
        if (! $node->hasChildNodes()) {
            return $node->nodeName === 'br' ? ' ' : (string) $node->nodeValue;
        }
        $text = '';
        foreach ($node->childNodes as $child) {
            $text .= self::textOf($child);
        }

        return $text;
    }

    private static function place(SyntaxErrorException $wrong): ?int
    {
        return preg_match('/at (\d+)/', $wrong->getMessage(), $found) === 1 ? (int) $found[1] : null;
    }
}
