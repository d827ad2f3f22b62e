<?php

declare(strict_types=1);

namespace SilverParrot\Response\Vocabulary;

/** What a name, verb or filter says of itself. The reference, completion and checks read it. */
final readonly class Description
{
    /**
     * @param  string  $name  as it is typed
     * @param  string  $takes  what may stand after it, "a whole number"; empty for nothing
     * @param  string  $gives  what kind of value comes of it
     * @param  string  $example  a response that shows it
     * @param  string  $sentence  one plain sentence
     * @param  string  $withNothing  what a filter does with nothing
     * @param  list<string>  $parts  what may stand after a dot
     * @param  array<string, array{string, string}>  $tells  of a part: what it gives, and a sentence
     * @param  string  $later  what is still to come before it has a value on the air; empty where it has one
     * @param  list<string>  $also  other plain words by which one would look for it
     */
    public function __construct(
        public string $name,
        public string $takes,
        public string $gives,
        public string $example,
        public string $sentence,
        public string $withNothing = '',
        public array $parts = [],
        public array $tells = [],
        public string $later = '',
        public array $also = [],
    ) {
    }
}
