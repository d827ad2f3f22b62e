<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Paths;

/** What an answer is written in. A new one is one class and one line in each of these. */
enum AnswerFormat: string
{
    case Json = 'json';

    /** XML, and feeds in it. */
    case Xml = 'xml';

    case Html = 'html';

    case Text = 'text';

    /** @throws BadAnswer */
    public function read(string $body): Paths
    {
        return match ($this) {
            self::Json => new JsonPaths($body),
            self::Xml => new XmlPaths($body),
            self::Html => new HtmlPaths($body),
            self::Text => new TextPaths($body),
        };
    }

    /** @throws BadPath where a path cannot be read, whatever the answer is */
    public function mustRead(string $path): void
    {
        if (trim($path) === '' || mb_strlen($path) > Paths::LONGEST) {
            throw new BadPath($path === '' ? 'it is empty' : 'it is too long');
        }
        match ($this) {
            self::Json => JsonPaths::mustRead($path),
            self::Xml => (new XmlPaths('<a/>'))->at($path),
            self::Html => HtmlPaths::mustRead($path),
            self::Text => (new TextPaths(''))->at($path),
        };
    }

    /** What paths into it are written in. */
    public function paths(): string
    {
        return match ($this) {
            self::Json => 'JMESPath',
            self::Xml => 'XPath 1.0',
            self::Html => 'a CSS selector, with “ @name” behind it for an attribute',
            self::Text => '“whole”, “line 3”, or “between "a" and "b"”',
        };
    }

    /** Whether a content type (RFC 9110, 8.3) says that. */
    public function fits(string $contentType): bool
    {
        $type = strtolower(trim(explode(';', $contentType, 2)[0]));

        return match ($this) {
            self::Json => str_ends_with($type, '/json') || str_ends_with($type, '+json'),
            self::Xml => str_ends_with($type, '/xml') || str_ends_with($type, '+xml'),
            self::Html => $type === 'text/html' || $type === 'application/xhtml+xml',
            self::Text => str_starts_with($type, 'text/'),
        };
    }
}
