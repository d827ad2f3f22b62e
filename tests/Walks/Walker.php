<?php

declare(strict_types=1);

namespace Tests\Walks;

use Tests\Browser\Browser;
use WebDriver\WebDriverKeys;

/**
 * Does what a person does, and counts it: a press is a click, a touch, or a key that does something (Enter, Ctrl+S); a
 * key is a letter that is typed. Where a press leads into a field, that is one of them.
 */
final class Walker
{
    public int $presses = 0;

    public int $keys = 0;

    public function __construct(public readonly Browser $page)
    {
    }

    public function press(string $button, string $within = 'body'): self
    {
        $this->presses++;
        $this->page->press($button, $within);

        return $this;
    }

    public function click(string $selector): self
    {
        $this->presses++;
        $this->page->click($selector);

        return $this;
    }

    /** Into a field that is empty, or over what stands in it. */
    public function write(string $selector, string $text): self
    {
        $this->presses++;
        $this->keys += mb_strlen($text);
        $this->page->write($selector, $text);

        return $this;
    }

    /** Where the cursor is. */
    public function type(string $text): self
    {
        $this->keys += mb_strlen($text);
        $this->page->type($text);

        return $this;
    }

    public function enter(): self
    {
        $this->presses++;
        $this->page->type(WebDriverKeys::ENTER);

        return $this;
    }

    /** @param  string  ...$keys  pressed together: a shortcut is one press */
    public function shortcut(string ...$keys): self
    {
        $this->presses++;
        $this->page->type(implode('', $keys));

        return $this;
    }

    public function save(): self
    {
        return $this->shortcut(WebDriverKeys::CONTROL, 's');
    }

    public function choose(string $select, string $value): self
    {
        $this->presses++;
        $this->page->find("$select option[value=\"$value\"]")->click();

        return $this;
    }

    public function sees(string $text, string $within = 'body'): self
    {
        $this->page->sees($text, $within);

        return $this;
    }

    /** A line of the simulated chat, said as somebody. */
    public function tries(string $line, ?string $as = null): self
    {
        if ($as !== null) {
            $this->choose('#speaker', $as);
        }

        return $this->write('#say-line', $line)->enter();
    }
}
