<?php

declare(strict_types=1);

namespace SilverParrot\Pack;

/** One of several texts, and its share of the draws. */
final readonly class WeightedText
{
    /**
     * @param  int  $weight 1 to 1000
     * @param  string  $id  which an edit of the text does not change; empty where it never had one
     * @param  bool  $isOn  whether it is drawn
     * @param  bool  $isPlain  whether its slots stay as they are, also where those of the list’s own are filled in
     */
    public function __construct(
        public string $text,
        public int $weight = 1,
        public string $id = '',
        public bool $isOn = true,
        public bool $isPlain = false,
    ) {
    }
}
