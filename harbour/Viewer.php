<?php

declare(strict_types=1);

namespace Harbour;

/** One of the simulated people in the harbour's chat. */
final readonly class Viewer
{
    /**
     * @param  list<string>  $levels
     * @param  string|null  $followed  ISO 8601; null for who does not follow
     * @param  string|null  $category  what they last streamed themselves; null for who never did
     */
    public function __construct(
        public string $login,
        public string $name,
        public array $levels,
        public ?string $followed = null,
        public string $accountMade = '',
        public ?string $category = null,
    ) {
    }

    /** Which stays the same for good; here nobody is ever called otherwise. */
    public function id(): string
    {
        return hash('xxh32', $this->login);
    }

    /** @return array<string, string|null> as the web service tells them */
    public function details(): array
    {
        return [
            'followed' => $this->followed,
            'account_made' => $this->accountMade,
            'category' => $this->category,
            'link' => "https://harbour.lantern-cove.example/{$this->login}",
        ];
    }
}
