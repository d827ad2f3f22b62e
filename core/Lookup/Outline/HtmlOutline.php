<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Outline;

use DOMElement;
use DOMNode;
use DOMXPath;
use SilverParrot\Lookup\Paths\HtmlPaths;

/** A page as an outline of what can be read on it; the way goes by ids, attributes and classes before places. */
final class HtmlOutline
{
    private const LEFT_OUT = ['script', 'style', 'template', 'noscript', 'svg', 'head', 'link', 'meta'];

    private int $left = Outlines::MOST;

    /** @var array<string, int> how often each id stands on the page: only in theory once */
    private array $ids = [];

    public function of(string $body): OutlineNode
    {
        $page = HtmlPaths::page($body);
        $root = $page->documentElement;
        foreach ((new DOMXPath($page))->query('//@id') ?: [] as $attribute) {
            $id = (string) $attribute->nodeValue;
            $this->ids[$id] = ($this->ids[$id] ?? 0) + 1;
        }

        return $root === null ? new OutlineNode('', null, '', '') : $this->node($root, $root->nodeName)
            ?? new OutlineNode($root->nodeName, null, '', '');
    }

    private function node(DOMElement $element, string $path): ?OutlineNode
    {
        if (in_array($element->nodeName, self::LEFT_OUT, true) || --$this->left < 0) {
            return null;
        }
        $children = array_values(array_filter(
            iterator_to_array($element->childNodes),
            static fn (DOMNode $child): bool => $child instanceof DOMElement,
        ));
        $inside = [];
        foreach ($this->steps($children, $path) as $place => $step) {
            if ($this->left <= 0) {
                break;
            }
            $inside[] = $this->node($children[$place], $step);
        }
        foreach (['href', 'src', 'datetime', 'content', 'value'] as $name) {
            $value = $element->getAttribute($name);
            $inside[] = $value === '' ? null : new OutlineNode(
                "@$name",
                mb_substr($value, 0, Outlines::SHOWN),
                'text',
                "$path @$name",
            );
        }
        $inside = array_values(array_filter($inside));
        $text = $children === [] || self::hasText($element) ? Outlines::text($element) : '';
        $isValue = $text !== '';
        if (! $isValue && $inside === []) {
            return null;
        }

        return new OutlineNode(
            self::label($element),
            $isValue ? $text : null,
            $isValue ? 'text' : '',
            $path,
            $inside,
        );
    }

    private static function label(DOMElement $element): string
    {
        $id = $element->getAttribute('id');

        return $element->nodeName.($id === '' ? '' : "#$id");
    }

    /**
     * From the nearest place that has a name of its own; told for all at once, since a page may have any number beside
     * each other.
     *
     * @param  list<DOMElement>  $children  of one parent
     * @return list<string> the way to each
     */
    private function steps(array $children, string $path): array
    {
        $marks = array_map(self::marks(...), $children);
        $tags = array_count_values(array_map(static fn (DOMElement $one): string => $one->nodeName, $children));
        $often = array_count_values(array_merge(...$marks));
        $seen = $steps = [];
        foreach ($children as $place => $child) {
            $tag = $child->nodeName;
            $seen[$tag] = ($seen[$tag] ?? 0) + 1;
            $id = $child->getAttribute('id');
            $own = array_filter($marks[$place], static fn (string $mark): bool => $often[$mark] === 1);
            $steps[] = match (true) {
                preg_match('/^[A-Za-z][\w-]*$/D', $id) === 1 && $this->ids[$id] === 1 => "#$id",
                $tags[$tag] === 1 => "$path > $tag",
                $own !== [] => "$path > ".reset($own),
                default => "$path > $tag:nth-of-type({$seen[$tag]})",
            };
        }

        return $steps;
    }

    /** @return list<string> what may tell an element from those beside it, best first */
    private static function marks(DOMElement $element): array
    {
        $marks = [];
        foreach ($element->attributes ?? [] as $attribute) {
            $value = (string) $attribute->nodeValue;
            if (str_starts_with($attribute->nodeName, 'data-') && preg_match('/^[\w-]{1,40}$/D', $value) === 1) {
                $marks[] = "{$element->nodeName}[{$attribute->nodeName}=\"$value\"]";
            }
        }
        foreach (preg_split('/\s+/', $element->getAttribute('class')) ?: [] as $class) {
            if (preg_match('/^[A-Za-z][\w-]*$/D', $class) === 1) {
                $marks[] = "{$element->nodeName}.$class";
            }
        }

        return array_values(array_unique($marks));
    }

    private static function hasText(DOMNode $element): bool
    {
        foreach ($element->childNodes as $child) {
            if ($child->nodeType === XML_TEXT_NODE && trim((string) $child->nodeValue) !== '') {
                return true;
            }
        }

        return false;
    }
}
