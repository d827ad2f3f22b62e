<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Paths;

use DOMDocument;
use DOMNameSpaceNode;
use DOMNode;
use DOMXPath;

/**
 * Values of XML, found by XPath 1.0. What it declares of types and entities is refused, since it may lead anywhere, or
 * grow without end. Prefixes are those of the answer; names without one stand for what the answer writes without one.
 */
final readonly class XmlPaths implements Paths
{
    private DOMXPath $paths;

    /** @throws BadAnswer */
    public function __construct(string $body)
    {
        $this->paths = new DOMXPath(self::document($body));
    }

    /** @throws BadAnswer */
    public static function document(string $body): DOMDocument
    {
        if (preg_match('/<!(?:DOCTYPE|ENTITY)/i', $body) === 1) {
            throw new BadAnswer('it declares types of its own, which are not read');
        }
        $document = new DOMDocument;
        // An answer’s own namespace would have to be named in every step of a path, though nothing else is in it.
        $plain = (string) preg_replace('/(<[^<>?!]*?)\sxmlns\s*=\s*(?:"[^"]*"|\'[^\']*\')/', '$1', $body);
        $was = libxml_use_internal_errors(true);
        $isRead = $plain !== '' && $document->loadXML($plain, LIBXML_NONET | LIBXML_COMPACT);
        $error = libxml_get_last_error();
        libxml_clear_errors();
        libxml_use_internal_errors($was);
        if (! $isRead) {
            throw new BadAnswer($error === false ? 'it is empty' : trim($error->message)." in line {$error->line}");
        }

        return $document;
    }

    public function at(string $path): array
    {
        return self::ask($this->paths, $path);
    }

    /**
     * @return list<Found>
     *
     * @throws BadPath
     */
    public static function ask(DOMXPath $paths, string $path): array
    {
        $was = libxml_use_internal_errors(true);
        $found = @$paths->evaluate($path);
        libxml_clear_errors();
        libxml_use_internal_errors($was);
        if ($found === false) {
            // Also what a yes-or-no path says of no: only whether it parses tells them apart.
            $isNo = @$paths->evaluate("boolean($path)") === false && @$paths->evaluate("string($path)") === 'false';

            return $isNo ? [Found::yesNo(false)] : throw new BadPath('it cannot be read');
        }
        if (! $found instanceof \DOMNodeList) {
            return [match (true) {
                is_bool($found) => Found::yesNo($found),
                is_float($found) && is_finite($found) => Found::number((string) json_encode(
                    floor($found) === $found && abs($found) < 1e15 ? (int) $found : $found,
                )),
                is_string($found) => Found::text(trim($found)),
                default => Found::nothing(),
            }];
        }
        $all = [];
        /** @var DOMNode|DOMNameSpaceNode $node */
        foreach ($found as $node) {
            if (count($all) === self::MOST) {
                break;
            }
            $text = trim((string) preg_replace('/\s+/u', ' ', (string) $node->nodeValue));
            $all[] = match (true) {
                $text === '' => Found::nothing(),
                $node instanceof \DOMElement && $node->childElementCount > 0 => Found::part(),
                default => Found::text($text),
            };
        }

        return $all;
    }
}
