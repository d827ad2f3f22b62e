<?php

declare(strict_types=1);

namespace SilverParrot\Source;

/** What is wrong, where, and how to mend it. */
final readonly class Finding
{
    /**
     * @param  Span|null  $span  in the text that $at points to
     * @param  string  $at  JSON Pointer (RFC 6901) into the pack; empty for a text on its own
     * @param  array<string, string>  $data  fills the names in the kind's sentences
     * @param  string|null  $replacement  what could stand at the span instead
     */
    public function __construct(
        public FindingKind $kind,
        public ?Span $span = null,
        public string $at = '',
        public array $data = [],
        public ?string $replacement = null,
    ) {
    }

    public function within(string $at): self
    {
        return new self($this->kind, $this->span, $at.$this->at, $this->data, $this->replacement);
    }

    /** @param  array<string, string>  $data  that goes with it; what it says of another mend is left out */
    public function mendedBy(?string $replacement, array $data): self
    {
        return new self(
            $this->kind,
            $this->span,
            $this->at,
            $data + array_diff_key($this->data, ['nearest' => true]),
            $replacement,
        );
    }

    /** Of the text on its own, wherever that stands. */
    public function alone(): self
    {
        return new self($this->kind, $this->span, '', $this->data, $this->replacement);
    }

    public function isError(): bool
    {
        return $this->kind->severity() === Severity::Error;
    }

    public function sentence(): string
    {
        return self::fill($this->kind->sentence(), $this->data);
    }

    public function mend(): string
    {
        // A guess that was not made ("did you mean …?") leaves no half sentence behind.
        $mend = $this->kind->mend();
        preg_match_all('/\{([a-z]+)\}/', $mend, $names);

        return array_diff($names[1], array_keys($this->data)) === [] ? self::fill($mend, $this->data) : '';
    }

    /**
     * @return array{code: string, severity: string, at: string, from: string|null, to: string|null, sentence: string,
     *     mend: string}
     */
    public function toArray(): array
    {
        return [
            'code' => $this->kind->code(),
            'severity' => $this->kind->severity()->value,
            'at' => $this->at,
            'from' => $this->span === null ? null : (string) $this->span->from,
            'to' => $this->span === null ? null : (string) $this->span->to,
            'sentence' => $this->sentence(),
            'mend' => $this->mend(),
        ];
    }

    /** @param  array<string, string>  $data */
    private static function fill(string $sentence, array $data): string
    {
        $names = [];
        foreach ($data as $name => $value) {
            $names['{'.$name.'}'] = $value;
        }

        return strtr($sentence, $names);
    }
}
