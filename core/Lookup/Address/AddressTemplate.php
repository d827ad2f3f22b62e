<?php

declare(strict_types=1);

namespace SilverParrot\Lookup\Address;

use GuzzleHttp\UriTemplate\UriTemplate;
use RuntimeException;

/**
 * An address with parameters in it, as RFC 6570 has them: "https://tides.example/{port}{?day}". Scheme, host and port
 * are always written out: what people type never decides who is asked.
 */
final readonly class AddressTemplate
{
    /** Parameters of one. */
    public const MOST = 20;

    private const EXPRESSION = '/^[+#.\/;?&]?(?:[A-Za-z][A-Za-z0-9_]{0,39}(?:\*|:[1-9]\d{0,3})?(?:,(?!$)|$))+$/D';

    public function __construct(public string $text)
    {
    }

    /** @return list<string> the names in it, each once */
    public function names(): array
    {
        preg_match_all('/\{([^{}]*)\}/', $this->text, $expressions);
        $names = [];
        foreach ($expressions[1] as $expression) {
            foreach (explode(',', ltrim($expression, '+#./;?&')) as $part) {
                $name = (string) preg_replace('/(?:\*|:\d+)$/D', '', trim($part));
                $names[$name] = $name;
            }
        }

        return array_values($names);
    }

    /** What is wrong with it however it is filled in; null where it is an address as soon as it is. */
    public function flaw(): ?TemplateFlaw
    {
        $plain = (string) preg_replace('/\{[^{}]*\}/', '', $this->text);
        if (str_contains($plain, '{') || str_contains($plain, '}')) {
            return TemplateFlaw::Braces;
        }
        preg_match_all('/\{([^{}]*)\}/', $this->text, $expressions);
        foreach ($expressions[1] as $expression) {
            if (preg_match(self::EXPRESSION, $expression) !== 1) {
                return TemplateFlaw::Name;
            }
        }
        if (count($this->names()) > self::MOST) {
            return TemplateFlaw::TooMany;
        }
        if (preg_match('~^https?://[^/?#{}]+(?:[/?#].*|\{[/?#].*)?$~isD', $this->text) !== 1) {
            return TemplateFlaw::Host;
        }

        return null;
    }

    /**
     * @param  array<string, string>  $values  by name; a parameter without one is left out
     */
    public function filled(array $values): string
    {
        try {
            return UriTemplate::expand($this->text, $values);
        } catch (RuntimeException) {
            // Only bytes that are no UTF-8 come here: then no address is one.
            return '';
        }
    }
}
