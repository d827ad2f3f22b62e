<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Outline;

use DOMElement;
use SilverParrot\Lookup\Paths\BadAnswer;
use SilverParrot\Lookup\Paths\XmlPaths;

/** XML as a tree; the way to one of several goes by an attribute or a child that tells it from the others. */
final class XmlOutline
{
    private const TELLING = ['id', 'key', 'code', 'name', 'type', 'title', 'guid', 'date'];

    private int $left = Outlines::MOST;

    /** @throws BadAnswer */
    public function of(string $body): OutlineNode
    {
        $root = XmlPaths::document($body)->documentElement;

        return $root === null ? new OutlineNode('', null, '', '') : $this->node($root, "/{$root->nodeName}");
    }

    private function node(DOMElement $element, string $path): OutlineNode
    {
        $inside = [];
        foreach ($element->attributes ?? [] as $attribute) {
            $inside[] = new OutlineNode(
                "@{$attribute->nodeName}",
                mb_substr(trim((string) $attribute->nodeValue), 0, Outlines::SHOWN),
                'text',
                "$path/@{$attribute->nodeName}",
            );
        }
        $named = [];
        foreach ($element->childNodes as $child) {
            if ($child instanceof DOMElement) {
                $named[$child->nodeName][] = $child;
            }
        }
        foreach ($named as $name => $children) {
            $tests = self::tests($children);
            foreach ($children as $place => $child) {
                if (--$this->left < 0) {
                    break 2;
                }
                $inside[] = $this->node($child, "$path/$name".self::one($tests, $place, count($children)));
            }
        }
        $text = $named === [] ? Outlines::text($element) : '';
        $isValue = $text !== '';

        return new OutlineNode(
            $element->nodeName,
            $isValue ? $text : null,
            $isValue ? 'text' : '',
            $path,
            $inside,
        );
    }

    /**
     * @param  array<string, list<string>>  $tests  values of all beside each other, by what tells them apart
     * @param  int  $place  from 0
     */
    private static function one(array $tests, int $place, int $count): string
    {
        if ($count === 1) {
            return '';
        }
        foreach ($tests as $test => $values) {
            $value = $values[$place];
            if (mb_strlen($value) <= 60 && ! str_contains($value, '"')) {
                return "[$test=\"$value\"]";
            }
        }

        return '['.($place + 1).']';
    }

    /**
     * Once for all of a name, since there may be any number of them.
     *
     * @param  non-empty-list<DOMElement>  $all  of the same name beside each other
     * @return array<string, list<string>> as one() takes them
     */
    private static function tests(array $all): array
    {
        $tests = [];
        foreach (count($all) === 1 ? [] : self::TELLING as $name) {
            $tests["@$name"] = array_map(static fn (DOMElement $one): string => $one->getAttribute($name), $all);
            $tests[$name] = array_map(static fn (DOMElement $one): string => self::childText($one, $name), $all);
        }

        return array_filter(
            $tests,
            static fn (array $values): bool => ! in_array('', $values, true)
                && count(array_unique($values)) === count($all),
        );
    }

    private static function childText(DOMElement $element, string $name): string
    {
        $found = [];
        foreach ($element->childNodes as $child) {
            if ($child instanceof DOMElement && $child->nodeName === $name) {
                $found[] = $child->textContent;
            }
        }

        return count($found) === 1 ? $found[0] : '';
    }
}
