<?php

declare(strict_types=1);

namespace SilverParrot\Chat\Wire;

/** One line of IRC (RFC 1459, RFC 2812) with IRCv3 message tags. Both ends of the chat read and write it here. */
final readonly class IrcLine
{
    /** Bytes of a line without its tags, CR LF included (RFC 2812, 2.3). */
    public const LONGEST = 512;

    /** Bytes of the tags of a line (IRCv3 message-tags). */
    public const LONGEST_TAGS = 8_191;

    /** RFC 1459, 2.3; the last one takes all that is left. */
    private const MOST_PARAMS = 15;

    /** How values of tags are written (IRCv3 message-tags). */
    private const ESCAPES = ['\\:' => ';', '\\s' => ' ', '\\\\' => '\\', '\\r' => "\r", '\\n' => "\n"];

    /**
     * @param  string  $command  upper case
     * @param  list<string>  $params
     * @param  string  $prefix  "nick!user@host" or a server's name; empty for none
     * @param  array<array-key, string>  $tags  a name of digits is a whole number here
     */
    public function __construct(
        public string $command,
        public array $params = [],
        public string $prefix = '',
        public array $tags = [],
    ) {
    }

    /** Null for a line without a command. */
    public static function parse(string $line): ?self
    {
        $line = ltrim(rtrim($line, "\r\n"), ' ');
        $tags = [];
        $prefix = '';
        if (str_starts_with($line, '@')) {
            [$written, $line] = explode(' ', substr($line, 1), 2) + [1 => ''];
            $tags = self::tags($written);
            $line = ltrim($line, ' ');
        }
        if (str_starts_with($line, ':')) {
            [$prefix, $line] = explode(' ', substr($line, 1), 2) + [1 => ''];
            $line = ltrim($line, ' ');
        }
        [$command, $rest] = explode(' ', $line, 2) + [1 => ''];
        if ($command === '') {
            return null;
        }

        return new self(strtoupper($command), self::params($rest), $prefix, $tags);
    }

    /** As it goes over the wire, with its end. What could end a line early or begin another one becomes a space. */
    public function encode(): string
    {
        $line = '';
        foreach ($this->tags as $name => $value) {
            $line
                .= ($line === '' ? '@' : ';')
                .$name
                .($value === '' ? '' : '='.strtr($value, array_flip(self::ESCAPES)));
        }
        $line
            .= ($line === '' ? '' : ' ')
            .($this->prefix === '' ? '' : ':'.self::word($this->prefix).' ')
            .self::word($this->command);
        $last = count($this->params) - 1;
        foreach ($this->params as $index => $param) {
            $param = strtr($param, ["\r" => ' ', "\n" => ' ', "\0" => ' ']);
            $line
                .= $index === $last && ($param === '' || $param[0] === ':' || str_contains($param, ' '))
                    ? " :$param"
                    : ' '.self::word($param);
        }

        return $line."\r\n";
    }

    /** Empty where there is none, or it has no value. */
    public function tag(string $name): string
    {
        return $this->tags[$name] ?? '';
    }

    public function nick(): string
    {
        return explode('!', $this->prefix)[0];
    }

    public function param(int $index): string
    {
        return $this->params[$index] ?? '';
    }

    private static function word(string $text): string
    {
        return strtr($text, ["\r" => '', "\n" => '', "\0" => '', ' ' => '_']);
    }

    /** @return array<array-key, string> */
    private static function tags(string $written): array
    {
        $tags = [];
        foreach (explode(';', $written) as $tag) {
            [$name, $value] = explode('=', $tag, 2) + [1 => ''];
            if ($name !== '') {
                // A lone backslash at the end is dropped, one before any other letter means that letter.
                $tags[$name] = (string) preg_replace_callback(
                    '/\\\\(.?)/s',
                    static fn (array $part): string => self::ESCAPES[$part[0]] ?? $part[1],
                    $value,
                );
            }
        }

        return $tags;
    }

    /** @return list<string> */
    private static function params(string $rest): array
    {
        $params = [];
        $rest = ltrim($rest, ' ');
        while ($rest !== '') {
            if ($rest[0] === ':' || count($params) === self::MOST_PARAMS - 1) {
                $params[] = $rest[0] === ':' ? substr($rest, 1) : $rest;
                break;
            }
            [$param, $rest] = explode(' ', $rest, 2) + [1 => ''];
            $params[] = $param;
            $rest = ltrim($rest, ' ');
        }

        return $params;
    }
}
